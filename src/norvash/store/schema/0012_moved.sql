-- What somebody changed of the ground on which motors are judged: a figure of a motor or a type, a rule, a school; what
-- stood before, and how the change was explained. One that was confirmed by somebody else, or put back, has ended.
create table moved (
    id text primary key,
    kind text not null check (kind in ('figure', 'rule', 'school')),
    name text not null,
    scope text not null check (scope in ('site', 'class', 'type', 'motor')),
    scope_id text not null,
    before_json text not null,
    after_json text not null,
    answer text not null check (answer in ('', 'first', 'read', 'ours')),
    source text not null,
    act_id text not null references act (id),
    confirmed_act_id text references act (id),
    ended_act_id text references act (id)
) strict;
create index moved_of_scope on moved (scope, scope_id) where ended_act_id is null and confirmed_act_id is null;
-- When a life was withdrawn and why, the state that it had, and whether that was confirmed; on which changes it rests.
alter table life add column was text not null default '';
alter table life add column withdrawn_act_id text references act (id);
alter table life add column withdrawn_why text not null default '';
alter table life add column free integer not null default 0;
update life set withdrawn_act_id = (select s.act_id from sheet s where s.id = life.sheet_id), was = 'open'
    where state = 'withdrawn';
create table rest (
    life_id text not null references life (id),
    moved_id text not null references moved (id),
    primary key (life_id, moved_id)
) strict, without rowid;
create index rest_of_moved on rest (moved_id);
