-- A stop is never put off: those that were are open again; what was signed stays as it was signed.
update life set state = 'open' where state = 'put off' and grade = 'stop' and ended_act_id is null;
-- Who has put something off, on which day, how often its day was moved, and the part that it waits for.
alter table life add column put_by text not null default '';
alter table life add column put_since text;
alter table life add column moved integer not null default 0;
alter table life add column waits_for text not null default '';
-- What an earlier version judged on a sheet that is still open keeps its grade until its place is measured again: until
-- an entry that is later than this.
alter table life add column held_since text;
update life set held_since = (select max(at) from act)
    where ended_act_id is null and sheet_id in (select id from sheet where signed_at is null);
