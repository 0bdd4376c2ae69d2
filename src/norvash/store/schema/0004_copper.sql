-- Cuts, settings of holders, times and machine speeds are looked for over all sheets by their field.
create index entry_by_field on entry (field) where replaced_by is null;
update standing set rules_seq = -1;
