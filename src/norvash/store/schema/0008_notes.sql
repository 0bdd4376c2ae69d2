-- Beginning in the middle: use from before the register may lie below zero of the motor's own scale, a fitting may only be
-- known within a span of days and of use, and uses, rounds and sets may be from notes. A note that is taken back is struck.
create table use_entry_made (
    id text primary key,
    motor_id text not null references motor (id),
    seq integer not null,
    at text not null,
    total_units real not null,
    counter_units real not null check (counter_units >= 0),
    typed text not null,
    event text not null,
    noted integer not null default 0 check (noted in (0, 1)),
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
insert into use_entry_made (id, motor_id, seq, at, total_units, counter_units, typed, event, struck_act_id, act_id)
    select id, motor_id, seq, at, total_units, counter_units, typed, event, struck_act_id, act_id from use_entry;
drop table use_entry;
alter table use_entry_made rename to use_entry;
create index use_entry_by_motor on use_entry (motor_id, at, seq);
create index use_entry_noted on use_entry (act_id) where noted = 1;

-- Sets from notes count downwards from 0. "lasted": a past set's use is somebody's word ("about"), or a least ("least").
create table brush_set_made (
    id text primary key,
    motor_id text not null references motor (id),
    number integer not null,
    fitted_at text not null,
    fitted_units real not null,
    fitted_known integer not null check (fitted_known in (0, 1)),
    span_first_on text,
    span_last_on text,
    span_low_units real,
    span_high_units real,
    ended_at text,
    ended_units real,
    end_reason text,
    sheet_id text references sheet (id),
    part text not null default '',
    variant text not null default '',
    nominal_json text not null default '[]',
    noted integer not null default 0 check (noted in (0, 1)),
    lasted text not null default '' check (lasted in ('', 'about', 'least')),
    gone_share real check (gone_share > 0 and gone_share <= 1),
    struck_act_id text references act (id),
    act_id text not null references act (id),
    unique (motor_id, number),
    check ((ended_at is null) = (ended_units is null) and (ended_at is null) = (end_reason is null)),
    check ((span_first_on is null) = (span_last_on is null) and (span_low_units is null) = (span_high_units is null))
) strict;
insert into brush_set_made (id, motor_id, number, fitted_at, fitted_units, fitted_known, ended_at, ended_units, end_reason,
                            sheet_id, part, variant, nominal_json, act_id)
    select id, motor_id, number, fitted_at, fitted_units, fitted_known, ended_at, ended_units, end_reason,
           sheet_id, part, variant, nominal_json, act_id from brush_set;
drop table brush_set;
alter table brush_set_made rename to brush_set;
create index brush_set_noted on brush_set (act_id) where noted = 1;

-- "measured_by" is who measured, as a note has it; the act says who entered it and when. "shortest": only the shortest brush.
create table round_made (
    id text primary key,
    motor_id text not null references motor (id),
    set_id text not null references brush_set (id),
    kind text not null check (kind in ('check', 'fitting', 'bedded')),
    at text not null,
    seq integer not null,
    total_units real not null,
    finished_at text,
    sheet_id text references sheet (id),
    noted integer not null default 0 check (noted in (0, 1)),
    measured_by text not null default '',
    shortest integer not null default 0 check (shortest in (0, 1)),
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
insert into round_made (id, motor_id, set_id, kind, at, seq, total_units, finished_at, sheet_id, act_id)
    select id, motor_id, set_id, kind, at, seq, total_units, finished_at, sheet_id, act_id from round;
drop table round;
alter table round_made rename to round;
create index round_by_motor on round (motor_id, at, seq);
create unique index round_open on round (motor_id) where finished_at is null;
create index round_by_set on round (set_id);
create index round_by_sheet on round (sheet_id);
create index round_noted on round (act_id) where noted = 1;

create table renewal_made (
    set_id text not null references brush_set (id),
    position_number integer not null check (position_number between 1 and 40),
    at text not null,
    total_units real not null,
    length_mm real check (length_mm > 0),
    sd_mm real check (sd_mm > 0),
    sheet_id text references sheet (id),
    act_id text not null references act (id),
    primary key (set_id, position_number, act_id)
) strict;
insert into renewal_made (set_id, position_number, at, total_units, length_mm, sd_mm, sheet_id, act_id)
    select set_id, position_number, at, total_units, length_mm, sd_mm, sheet_id, act_id from renewal;
drop table renewal;
alter table renewal_made rename to renewal;

-- What a set taught whose life is somebody's word.
alter table past_set add column about integer not null default 0 check (about in (0, 1));

-- Notes that were entered together, to be taken back together; a file is known again by its digest.
create table note_batch (
    id text primary key,
    motor_id text references motor (id), -- none where it speaks of several
    source text not null check (source in ('form', 'grid', 'table')),
    digest text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
create index note_batch_digest on note_batch (digest) where struck_act_id is null;

-- A set of unknown age that runs comes after what is to be changed now and before what is to be planned.
update standing set rank = rank + 1 where rank >= 5;
update standing set rules_seq = -1;
