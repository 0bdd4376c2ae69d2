-- Who may do what, and how they show who they are. A person without a password has never signed in.
alter table person add column role text not null default 'technician' check (role in ('viewer', 'technician', 'lead'));
-- Since when people sign in here; empty: nobody ever has. What an address of the calendar feed must know; whether each
-- signature asks for the PIN.
alter table site add column signs_in_since text;
alter table site add column feed_key text not null default '';
alter table site add column asks_pin integer not null default 0 check (asks_pin in (0, 1));
-- What somebody knows, as it is proved: never the thing itself. `wrong` are the attempts since the last right one.
create table secret (
    person_id text primary key references person (id),
    hash text not null,
    set_at text not null,
    wrong integer not null default 0 check (wrong >= 0),
    wrong_at text
) strict;
-- A code that lets one person set a password once, until a day.
create table code (
    hash text primary key,
    person_id text not null references person (id),
    made_at text not null,
    until text not null
) strict;
create index code_of on code (person_id);
-- A browser in which somebody is signed in; kept after its end, for acts name it.
create table session (
    id text primary key,
    hash text not null unique,
    person_id text not null references person (id),
    device_id text not null,
    device text not null,
    made_at text not null,
    seen_at text not null,
    ended_at text
) strict;
create index session_of on session (person_id, made_at);
-- A short number that switches to a person on one device.
create table pin (
    device_id text not null,
    person_id text not null references person (id),
    hash text not null,
    wrong integer not null default 0 check (wrong >= 0),
    primary key (device_id, person_id)
) strict;
-- In which session an act was made: none before people signed in, from a file, or at the command line.
alter table act add column session_id text references session (id);
