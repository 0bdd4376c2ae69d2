-- A bench sheet: one visit to one motor. It shares its id with the round that is measured on it.
create table sheet (
    id text primary key references round (id),
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
create unique index sheet_open on sheet (motor_id) where signed_at is null;
create index sheet_unsigned on sheet (at) where signed_at is null;

-- What was entered on a sheet; a newer entry at the same place stands over the older, one that points at itself was undone.
create table entry (
    id text primary key,
    sheet_id text not null references sheet (id),
    field text not null,
    place integer not null check (place >= 0),
    typed text not null,
    word text not null,
    value_in_si_unit real,
    more_json text not null,
    replaced_by text references entry (id),
    act_id text not null references act (id)
) strict;
create unique index entry_now on entry (sheet_id, field, place) where replaced_by is null;

-- What was put off when a sheet was signed: findings and temporary repairs, each with who sees to it and by when.
create table deferred (
    id text primary key,
    motor_id text not null references motor (id),
    sheet_id text not null references sheet (id),
    position_number integer not null check (position_number between 0 and 40),
    finding text not null,
    words text not null,
    who text not null,
    due_on text,
    closed_act_id text references act (id),
    act_id text not null references act (id)
) strict;
create index deferred_open on deferred (motor_id) where closed_act_id is null;

alter table rule_override add column word text not null default '';

insert into sheet (id, motor_id, number, kind, at, act_id)
    select id, motor_id, 1, 'quick', at, act_id from round where finished_at is null;
update act set job = 'open a sheet' where job = 'start a round';
update act set job = 'sign a sheet' where job = 'finish a round';
update standing set rules_seq = -1;
