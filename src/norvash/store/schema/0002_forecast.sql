-- What every earlier set taught about its motor's family; "at_most": it only lasted at least so long.
create table past_set (
    set_id text primary key references brush_set (id),
    motor_id text not null references motor (id),
    log_rate real not null, -- ln(mm per unit of use), mean of the set
    at_most integer not null check (at_most in (0, 1))
) strict;
create index past_set_by_motor on past_set (motor_id);

-- The forecast of the fitted set, written in the transaction that changes it.
create table forecast (
    motor_id text primary key references motor (id),
    ahead_json text not null
) strict;

-- Forecasts as they stood when a round was finished, to be held against what came.
create table forecast_made (
    round_id text primary key references round (id),
    set_id text not null references brush_set (id),
    motor_id text not null references motor (id),
    at text not null,
    visits integer not null check (visits >= 0),
    p05_units real not null,
    p10_units real not null,
    p50_units real not null,
    p90_units real not null,
    p95_units real not null,
    look_units real not null,
    tail real not null
) strict;
create index forecast_made_by_set on forecast_made (set_id);

create table policy (
    id text primary key,
    scope text not null check (scope in ('type', 'motor')),
    scope_id text not null,
    kind text not null check (kind in ('interval', 'range', 'calendar', 'table')),
    name text not null,
    value_json text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
create index policy_by_scope on policy (scope, scope_id) where struck_act_id is null;

create table shutdown (
    id text primary key,
    name text not null,
    first_on text not null,
    last_on text not null,
    yearly integer not null check (yearly in (0, 1)),
    place text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id),
    check (last_on >= first_on)
) strict;

alter table standing add column early_on text;
alter table standing add column late_on text;
alter table standing add column look_by text not null default '';
alter table standing add column version integer not null default 0;
create index standing_outlook on standing (early_on, motor_id);
create index standing_counts on standing (early_on, look_on, stage, motor_id);
create index standing_look on standing (look_on, motor_id);
create index round_by_set on round (set_id);
update standing set rules_seq = -1;

-- A file of readings between its upload and its import; taken away once it is imported or forgotten.
create table import_file (
    id text primary key,
    name text not null,
    sha256 text not null,
    data blob not null,
    at text not null,
    person_id text not null references person (id)
) strict;

-- Single brushes of a set that were renewed while the others stayed.
create table renewal (
    set_id text not null references brush_set (id),
    position_number integer not null check (position_number between 1 and 40),
    at text not null,
    total_units real not null check (total_units >= 0),
    length_mm real check (length_mm > 0),
    sd_mm real check (sd_mm > 0),
    act_id text not null references act (id),
    primary key (set_id, position_number, act_id)
) strict;
