-- Of which part a finding speaks, and of what was seen on a brush its grade and words: a name that a later version has
-- no more keeps them. The values are those of the day on which this step was made.
create table part_then (finding text primary key, part text not null) strict, without rowid;
insert into part_then values
    ('complaint.dead', 'complaint'), ('taps.miswired', 'switch'), ('brush.free', 'brushes'), ('brush.sticky', 'brushes'),
    ('brush.seized', 'brushes'), ('brush.chip-small', 'brushes'), ('brush.chip-large', 'brushes'),
    ('brush.latched', 'brushes'), ('brush.oily', 'brushes'), ('face.satin', 'brushes'), ('face.glazed', 'brushes'),
    ('face.threads', 'brushes'), ('face.burnt', 'brushes'), ('face.copper', 'brushes'), ('face.taper', 'brushes'),
    ('face.one-side', 'brushes'), ('face.partly', 'brushes'), ('lead.strands-10', 'springs'),
    ('lead.strands-25', 'springs'), ('lead.heat', 'springs'), ('lead.taut', 'springs'), ('lead.loose', 'springs'),
    ('terminal.poor', 'springs'), ('indicator.dead', 'springs'), ('spring.heat', 'springs'), ('spring.broken', 'springs'),
    ('spring.off', 'springs'), ('spring.far-off', 'springs'), ('spring.travel', 'springs'), ('holder.damaged', 'holders'),
    ('holder.arms', 'holders'), ('insulator.dirty', 'holders'), ('insulator.cracked', 'holders'),
    ('terminal.measured', 'springs'), ('gap.wide', 'holders'), ('gap.narrow', 'holders'), ('clearance.tight', 'holders'),
    ('clearance.wrong', 'holders'), ('clearance.loose', 'holders'), ('gap.cut', 'holders'), ('set.worn', 'brushes'),
    ('dust.much', 'brushes'), ('face.cut', 'brushes'), ('commutator.black', 'commutator'),
    ('commutator.two-bars', 'commutator'), ('commutator.burnt', 'commutator'), ('commutator.rough', 'commutator'),
    ('commutator.raised', 'commutator'), ('commutator.mica', 'commutator'), ('commutator.slots', 'commutator'),
    ('commutator.riser', 'commutator'), ('commutator.flashover', 'commutator'), ('commutator.open', 'commutator'),
    ('commutator.short', 'commutator'), ('slot.shallow', 'commutator'), ('commutator.pitch', 'commutator'),
    ('commutator.slot-marks', 'commutator'), ('commutator.drag', 'commutator'), ('commutator.threads', 'commutator'),
    ('runout.seats', 'commutator'), ('runout.set-up', 'commutator'), ('runout.bars', 'commutator'),
    ('runout.over', 'commutator'), ('runout.far', 'commutator'), ('bartest.open', 'commutator'),
    ('bartest.short', 'commutator'), ('bartest.suspect', 'commutator'), ('copper.cut', 'commutator'),
    ('copper.refused', 'commutator'), ('copper.under', 'commutator'), ('copper.last', 'commutator'),
    ('surface.emergency', 'commutator'), ('windings.burnt', 'windings'), ('windings.loose', 'windings'),
    ('windings.earth', 'windings'), ('windings.field', 'windings'), ('windings.binding', 'windings'),
    ('windings.broken', 'windings'), ('windings.core', 'windings'), ('windings.poles', 'windings'),
    ('windings.interpole', 'windings'), ('windings.dust', 'windings'), ('magnets.cracked', 'windings'),
    ('insulation.again', 'windings'), ('insulation.low', 'windings'), ('insulation.middling', 'windings'),
    ('insulation.fallen', 'windings'), ('polarization.watch', 'windings'), ('polarization.low', 'windings'),
    ('polarization.hold', 'windings'), ('windings.growler', 'windings'), ('windings.short', 'windings'),
    ('magnets.weak', 'windings'), ('chain.dead', 'windings'), ('bearing.rough', 'drive'), ('bearing.loose', 'drive'),
    ('bearing.locked', 'drive'), ('bearing.dry', 'drive'), ('bush.dry', 'drive'), ('bearing.seal', 'drive'),
    ('drive.shaft', 'drive'), ('drive.keyway', 'drive'), ('drive.fan', 'drive'), ('drive.worn', 'drive'),
    ('drive.belt', 'drive'), ('drive.washer', 'drive'), ('drive.jammed', 'drive'), ('bearing.noisy', 'drive'),
    ('bearing.corroded', 'drive'), ('bearing.grease', 'drive'), ('bearing.aged', 'drive'), ('bush.worn', 'drive'),
    ('kit.mismatch', 'drive'), ('float.out', 'drive'), ('vibration.watch', 'drive'), ('vibration.high', 'drive'),
    ('ring.squeeze', 'drive'), ('solenoid.bad', 'drive'), ('repair.temporary', 'repairs'), ('earth.open', 'windings'),
    ('plug.two-cores', 'windings'), ('run.wrong-way', 'run'), ('run.rubs', 'run'), ('run.sparking', 'run'),
    ('run.overspeed', 'run'), ('run.sparks', 'run'), ('run.drag', 'run'), ('run.contact', 'run'),
    ('run.weak-field', 'run'), ('run.amps', 'run'), ('run.speed', 'run'), ('run.baseline', 'run'), ('run.hot', 'run'),
    ('output.dead', 'run'), ('output.flat', 'run'), ('output.low', 'run'), ('output.high', 'run');
alter table life add column part text not null default '';
update life set part = coalesce((select part from part_then p where p.finding = life.finding), '');
alter table finding add column part text not null default '';
update finding set part = coalesce((select part from part_then p where p.finding = finding.seen), '');
drop table part_then;
create table seen_then (finding text primary key, grade text not null, words text not null) strict, without rowid;
insert into seen_then values
    ('brush.free', 'fit', 'moves freely'), ('brush.sticky', 'plan', 'sticky, moves by hand'),
    ('brush.seized', 'change', 'seized in its holder'),
    ('brush.chip-small', 'watch', 'edge chipped, under a tenth of the face'),
    ('brush.chip-large', 'change', 'chipped over a tenth of the face, or cracked'),
    ('brush.latched', 'stop', 'still latched or held back'), ('brush.oily', 'plan', 'brush or box oily'),
    ('face.satin', 'fit', 'face even and satin'), ('face.glazed', 'watch', 'face glazed'),
    ('face.threads', 'watch', 'threads across the face'), ('face.burnt', 'plan', 'edge of the face burnt'),
    ('face.copper', 'plan', 'copper picked up in the face'), ('face.taper', 'plan', 'face tapered beyond its design'),
    ('face.one-side', 'plan', 'print of one side of the face only'),
    ('face.partly', 'watch', 'face covers less than three quarters after run-in'),
    ('lead.strands-10', 'plan', 'a tenth or more of the strands broken'),
    ('lead.strands-25', 'change', 'a quarter or more of the strands broken'),
    ('lead.heat', 'change', 'lead discoloured by heat'), ('lead.taut', 'stop', 'lead taut, the brush hangs on it'),
    ('lead.loose', 'stop', 'lead loose in the carbon or pulled out'),
    ('terminal.poor', 'plan', 'terminal dirty, loose or oxidised'),
    ('indicator.dead', 'plan', 'lead of the wear indicator open or earthed'),
    ('spring.heat', 'change', 'spring discoloured by heat'),
    ('spring.broken', 'stop', 'spring corroded, broken, cracked or missing'),
    ('spring.off', 'plan', 'spring force over a tenth off'), ('spring.far-off', 'change', 'spring force over a fifth off'),
    ('spring.travel', 'change', 'under 2 mm of spring travel left'),
    ('holder.damaged', 'change', 'holder burnt, melted, oval or loose'),
    ('holder.arms', 'plan', 'arms spaced unequally round the commutator'),
    ('insulator.dirty', 'watch', 'insulator dirty with carbon'),
    ('insulator.cracked', 'stop', 'insulator cracked or missing');
alter table finding add column grade text not null default '';
alter table finding add column words text not null default '';
update finding set grade = s.grade, words = s.words from seen_then s where s.finding = finding.seen;
drop table seen_then;
-- What a name looks like at a glance; `looks` is a function of the application.
alter table person add column looks_key text not null default '';
alter table motor add column looks_key text not null default '';
update person set looks_key = looks(name);
update motor set looks_key = looks(tag);
create index person_looks on person (looks_key);
create index motor_looks on motor (looks_key);
