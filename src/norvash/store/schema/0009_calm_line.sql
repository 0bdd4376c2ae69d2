-- The figures of the line that a list shows first; every standing is worked out again with them.
alter table standing add column figures_json text not null default '[]';
update standing set rules_seq = -1;

-- What a person prefers on every device, one row for each thing that can be chosen.
create table preference (
    person_id text not null references person (id),
    name text not null,
    value text not null,
    act_id text not null references act (id),
    primary key (person_id, name)
) strict;

-- What people wrote, to be found by its words: no tick, figure or short choice.
create index entry_written on entry (sheet_id, typed)
    where replaced_by is null and value_in_si_unit is null and length(typed) > 4;
