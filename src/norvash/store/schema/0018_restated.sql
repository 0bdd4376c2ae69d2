-- What was said anew of something that stands in one row: each statement as an entry of its own, in the order of writing.
-- One without an act is what stood when this step came.
create table restated (
    seq integer primary key,
    motor_id text not null references motor (id),
    what text not null check (what in ('figures', 'positions', 'fitting', 'doubt', 'sight', 'kind', 'retired')),
    of_id text not null,
    said_json text not null,
    act_id text references act (id)
) strict;
create index restated_of on restated (motor_id, what, of_id);
insert into restated (motor_id, what, of_id, said_json)
select m.id, 'figures', m.id,
       (select json_group_object(f.name, coalesce(f.value_real, f.value_text)) from motor_figure f where f.motor_id = m.id)
from motor m order by m.rowid;
insert into restated (motor_id, what, of_id, said_json)
select m.id, 'positions', m.id,
       (select json_group_array(json_array(p.number, p.label, p.angle_deg, p.arm, p.polarity))
        from (select * from position where motor_id = m.id order by number) p)
from motor m order by m.rowid;
insert into restated (motor_id, what, of_id, said_json)
select motor_id, 'fitting', id,
       json_object('at', fitted_at, 'units', fitted_units, 'known', fitted_known,
                   'days', case when span_first_on is not null then json_array(span_first_on, span_last_on) end,
                   'use', case when span_low_units is not null then json_array(span_low_units, span_high_units) end,
                   'nominal', json(nominal_json))
from brush_set order by rowid;
insert into restated (motor_id, what, of_id, said_json)
select r.motor_id, 'doubt', g.id, json_quote(g.doubt_answer)
from reading g join round r on r.id = g.round_id where g.doubt_answer <> '' order by g.rowid;
insert into restated (motor_id, what, of_id, said_json)
select a.motor_id, 'sight', a.result_id, json_quote(coalesce(e.sight, g.sight))
from act a left join entry e on e.id = a.result_id left join reading g on g.id = a.result_id
where a.job = 'say which sight' and coalesce(e.sight, g.sight) is not null order by a.seq;
insert into restated (motor_id, what, of_id, said_json)
select s.motor_id, 'kind', s.id, json_quote(s.kind)
from sheet s join act a on a.result_id = s.id and a.job = 'make it a whole sheet' order by a.seq;
insert into restated (motor_id, what, of_id, said_json)
select id, 'retired', id, json_object('at', retired_at, 'by', retired_by)
from motor where retired_at is not null order by rowid;
