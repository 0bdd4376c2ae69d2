-- Two sights of every part, and the lives of findings. A sheet and a round have their own ids now: a sheet has the round
-- of the set that it found and, once another is fitted on it, one of that. `grade_of` is a function of the application.
create table sheet_made (
    id text primary key,
    motor_id text not null references motor (id),
    number integer not null check (number >= 1),
    kind text not null check (kind in ('full', 'quick')),
    at text not null,
    signed_at text,
    signed_json text,
    act_id text not null references act (id),
    unique (motor_id, number),
    check ((signed_at is null) = (signed_json is null))
) strict;
insert into sheet_made (id, motor_id, number, kind, at, signed_at, signed_json, act_id)
    select id, motor_id, number, kind, at, signed_at, signed_json, act_id from sheet;
drop table sheet;
alter table sheet_made rename to sheet;
create unique index sheet_open on sheet (motor_id) where signed_at is null;
create index sheet_unsigned on sheet (at) where signed_at is null;

alter table round add column sheet_id text references sheet (id);
update round set sheet_id = id where id in (select id from sheet);
create index round_by_sheet on round (sheet_id);

-- Of which sight a value speaks: as found, as left after work, or not said yet; `slip` says that what it replaced was mistyped.
alter table entry add column sight text not null default 'found' check (sight in ('found', 'left', 'asked'));
alter table entry add column slip integer not null default 0 check (slip in (0, 1));
update entry set sight = 'left' where field in ('cut-done', 'cut-slots', 'cut-chamfer', 'cut-again', 'cut-vacuumed',
    'slot-minutes', 'surface-with', 'holder-set');
drop index entry_now;
create unique index entry_now on entry (sheet_id, field, place, sight) where replaced_by is null;
alter table reading add column sight text not null default 'found' check (sight in ('found', 'left', 'asked'));
drop index reading_now;
create unique index reading_now on reading (round_id, position_number, sight) where replaced_by is null;
alter table finding add column sight text not null default 'found' check (sight in ('found', 'left'));
drop index finding_now;
create unique index finding_now on finding (round_id, position_number, seen, sight) where struck_act_id is null;

-- A set that was fitted on a sheet: what it is, and of which positions the length was taken from the part.
alter table brush_set add column sheet_id text references sheet (id);
alter table brush_set add column part text not null default '';
alter table brush_set add column variant text not null default '';
alter table brush_set add column nominal_json text not null default '[]';
alter table renewal add column sheet_id text references sheet (id);

-- What has become of each finding that was ever plan or graver; while its sheet is open its state follows from that.
create table life (
    id text primary key,
    motor_id text not null references motor (id),
    sheet_id text references sheet (id), -- where it was found; none for what is older than sheets
    position_number integer not null check (position_number between 0 and 40),
    finding text not null,
    grade text not null check (grade in ('watch', 'plan', 'change', 'stop')),
    words text not null,
    state text not null check (state in ('open', 'put off', 'done not proven', 'proven', 'dropped', 'withdrawn')),
    who text not null,
    due_on text,
    why text not null,
    ended_sheet_id text references sheet (id),
    ended_act_id text references act (id)
) strict;
create index life_standing on life (motor_id) where ended_act_id is null;
create index life_by_sheet on life (sheet_id);
create index life_ended on life (ended_sheet_id);
insert into life (id, motor_id, sheet_id, position_number, finding, grade, words, state, who, due_on, why, ended_act_id)
    select id, motor_id, sheet_id,
           case when finding <> '' then position_number when words like 'temporary repair%' then
               min(40, row_number() over (partition by motor_id, finding order by id)) else 0 end,
           case when finding <> '' then finding when words like 'temporary repair%' then 'repair.temporary'
               else 'set.worn' end,
           grade_of(finding), words, case when closed_act_id is not null then 'proven'
               when who = '' then 'open' else 'put off' end, who, due_on, '', closed_act_id
    from deferred where finding = '' or grade_of(finding) <> '';
drop table deferred;
-- What was seen on the brushes that are in a motor and never decided.
insert into life (id, motor_id, sheet_id, position_number, finding, grade, words, state, who, due_on, why)
    select min(f.id), r.motor_id, min(r.sheet_id), f.position_number, f.seen, grade_of(f.seen), '', 'open', '', null, ''
    from finding f join round r on r.id = f.round_id join brush_set s on s.id = r.set_id
    where f.struck_act_id is null and s.ended_at is null and grade_of(f.seen) in ('plan', 'change', 'stop')
      and not exists (select 1 from sheet o where o.id = r.sheet_id and o.signed_at is null)
      and not exists (select 1 from entry e where e.sheet_id = r.sheet_id and e.field = 'decide.' || f.seen
                      and e.place = f.position_number and e.replaced_by is null and e.word in ('done', 'dropped'))
      and not exists (select 1 from round n where n.set_id = r.set_id and n.at > r.at
                      and exists (select 1 from reading g where g.round_id = n.id and g.replaced_by is null))
      and not exists (select 1 from life l where l.motor_id = r.motor_id and l.finding = f.seen
                      and l.position_number = f.position_number and l.ended_act_id is null)
    group by r.motor_id, f.position_number, f.seen;

-- From which days on a motor's grade is at least plan, or change: lists compare them with today.
alter table standing add column plan_on text;
alter table standing add column change_on text;
alter table standing add column rises_json text not null default '[]';
create index standing_plan on standing (plan_on, motor_id);
create index standing_change on standing (change_on, motor_id);
-- What the bench sorts by: nothing of the motors that it does not show is read.
drop index standing_order;
create index standing_order on standing (rank desc, due, motor_id, look_on, plan_on, change_on);
update standing set rules_seq = -1;
