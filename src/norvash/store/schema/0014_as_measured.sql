-- What a depth gauge showed, where nothing tells which length that is: neither what it showed on new brushes nor what
-- depth and length add up to. Its length was laid on a scale with the limit at half a new brush, which nobody stated.
alter table reading add column bare_mm real;
update reading set bare_mm = raw_value where method = 'depth' and not exists (
    select 1 from round r join motor m on m.id = r.motor_id
    where r.id = reading.round_id and (
        exists (select 1 from motor_figure f where f.motor_id = m.id
                and f.name in ('depth_new_mm', 'depth_constant_mm'))
        or exists (select 1 from type_figure f where f.type_id = m.type_id
                   and f.name in ('depth_new_mm', 'depth_constant_mm'))));
