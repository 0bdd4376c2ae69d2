-- What a finding was judged on when it was found: rules by their ids and figures by their names, with their values.
-- It was not kept of what began before this step.
alter table life add column ground_json text;
