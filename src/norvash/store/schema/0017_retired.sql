-- A motor that is used no more: since when, by whom, on which sheet; empty while it is in use.
alter table motor add column retired_at text;
alter table motor add column retired_by text;
