-- Up Migration
-- How a track stood at the end of a day is read and written as one piece, and by nothing else: it is kept as one. What was
-- kept is made again with the next late answer.
delete from horse_day_end;
delete from track_day_end;
alter table track_day_end drop column ability, drop column calm, drop column log_likelihood, drop column days_worked,
  drop column start, drop column covariance, drop column tally;
-- Both densities, 281 doubles each, and then the rest as JSON.
alter table track_day_end add column record bytea not null;

-- Down Migration
delete from horse_day_end;
delete from track_day_end;
alter table track_day_end drop column record;
alter table track_day_end add column ability bytea not null, add column calm bytea not null,
  add column log_likelihood double precision not null, add column days_worked integer not null,
  add column start jsonb not null, add column covariance jsonb not null, add column tally jsonb not null;
