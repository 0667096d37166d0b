-- Up Migration
-- Whose horse it is; an owner sees the reports of their own horses and nothing else.
create table horse_owner (
  horse_id uuid primary key references horse,
  yard_id uuid not null references yard,
  person_id uuid not null references person
);
create index horse_owner_person on horse_owner (person_id);
alter table horse_owner enable row level security;
alter table horse_owner force row level security;
create policy own_yard on horse_owner to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert, update, delete on horse_owner to still_pine_app;

-- Down Migration
drop table horse_owner;
