-- By whose act a finding was found, so that whoever withdraws it is not the only one who is named. None of what is older.
alter table life add column found_act_id text references act (id);
-- What was dropped on a signed sheet though it stood comes up again at the next call.
create index life_dropped on life (motor_id) where state = 'dropped' and ended_act_id is not null;
