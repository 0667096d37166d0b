-- Up Migration
-- What somebody has said of a horse's session on a day, so that what is arranged at the desk is run at the pen.
create table arrangement (
  yard_id uuid not null references yard,
  horse_id uuid not null,
  day date not null,
  person_id uuid not null,
  at timestamptz not null,
  arrangement jsonb not null,
  primary key (yard_id, horse_id, day),
  foreign key (yard_id, horse_id) references horse (yard_id, id),
  foreign key (yard_id, person_id) references person (yard_id, id)
);
alter table arrangement enable row level security;
alter table arrangement force row level security;
create policy own_yard on arrangement to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert, update on arrangement to still_pine_app;
