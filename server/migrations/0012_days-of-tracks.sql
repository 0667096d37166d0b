-- Up Migration
-- How each track stood before and after every day's work: what its chance over the days is drawn from. A yard from
-- before has none of it until its tracks are worked out again.
alter table prediction add column morning double precision, add column evening double precision;
drop index prediction_horse;
create index prediction_horse on prediction (horse_id, step, side, day);

-- Down Migration
drop index prediction_horse;
create index prediction_horse on prediction (horse_id, step);
alter table prediction drop column morning, drop column evening;
