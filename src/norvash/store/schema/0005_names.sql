-- What names, tags and places are compared by; `compared` is a function of the application.
alter table person add column name_key text not null default '';
alter table motor_type add column name_key text not null default '';
alter table motor add column tag_key text not null default '';
alter table motor add column sought_key text not null default ''; -- tag, name and place, a line each
alter table motor add column place_key text not null default '';
update person set name_key = compared(name);
update motor_type set name_key = compared(name);
update motor set tag_key = compared(tag), place_key = compared(place),
    sought_key = compared(tag) || char(10) || compared(name) || char(10) || compared(place);
-- How often the family of a type was taught something by sets that ended.
alter table motor_type add column taught integer not null default 0;
create index person_key on person (name_key);
create index motor_type_key on motor_type (name_key);
create index motor_key on motor (tag_key);
create index motor_place on motor (place_key);
alter table standing add column place_key text not null default '';
update standing set place_key = (select m.place_key from motor m where m.id = standing.motor_id);
create index standing_place on standing (place_key, early_on, look_on, motor_id);
