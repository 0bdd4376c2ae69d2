-- Of what the number of a life is one: side, bearing, circuit or setting; empty for a brush, and for the whole motor. What
-- stands from before speaks of all of them, as it was said then.
alter table life add column per text not null default '';
