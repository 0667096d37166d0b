-- Up Migration
-- A rung keeps its mark whatever comes in or goes out around it: one put between two others is marked between theirs.
alter table answer drop constraint answer_rung_check;
alter table answer alter column rung type real;
alter table answer add constraint answer_rung_check check (rung > 0);

-- Who made a version of a school, and when; the schools that ship were made by nobody here.
alter table program add column made_at timestamptz;
alter table program add column made_by uuid references person;

-- Down Migration
alter table program drop column made_by, drop column made_at;
alter table answer drop constraint answer_rung_check;
alter table answer alter column rung type smallint;
alter table answer add constraint answer_rung_check check (rung >= 1);
