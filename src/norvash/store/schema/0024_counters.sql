-- A counter that was replaced or reset: what the old one showed at last and what the new one began at, as they were typed,
-- who says so or may know, since when one stood still. "basis" of the use since the entry before: read, at least, or estimated while a counter stood
-- still. Of entries from before this nobody was asked: they stay as they were said.
alter table use_entry add column basis text not null default '' check (basis in ('', 'least', 'estimated'));
alter table use_entry add column old_last text not null default '';
alter table use_entry add column new_first text not null default '';
alter table use_entry add column said_by text not null default '';
alter table use_entry add column stood_since text not null default '';
update standing set rules_seq = -1;
