-- Up Migration
-- The moment of an incident, where it is known: which minute of its session it was.
alter table incident add column happened_at timestamptz;

-- Down Migration
alter table incident drop column happened_at;
