-- What came of the brush that nobody stated, of which a bare depth was kept as a length: forecasts, and what its ended sets
-- taught, are struck and worked out from the depths; the motor says so. What was signed stays as it was said.
alter table motor add column depths_again integer not null default 0;
update motor set depths_again = 1 where id in (
    select r.motor_id from round r join reading g on g.round_id = r.id where g.bare_mm is not null);
delete from past_set where motor_id in (select id from motor where depths_again);
delete from forecast_made where motor_id in (select id from motor where depths_again);
delete from forecast where motor_id in (select id from motor where depths_again);
update standing set rules_seq = -1 where motor_id in (
    select m.id from motor m where m.depths_again or m.type_id in (select type_id from motor where depths_again));
