-- Who played an act in from a file; none for one that was made here. The act keeps its own person.
alter table act add column played_by text references person (id);
