-- Up Migration
-- What is told of a horse beside its answers, of many kinds: facts as the contract has them for the kind.
create table entry (
  yard_id uuid not null references yard,
  id uuid not null,
  horse_id uuid not null,
  person_id uuid not null,
  on_day date not null,
  kind text not null,
  of_yard boolean not null,
  taken_back boolean not null,
  facts jsonb not null,
  primary key (yard_id, id),
  foreign key (yard_id, horse_id) references horse (yard_id, id),
  foreign key (yard_id, person_id) references person (yard_id, id)
);
create index entry_horse on entry (yard_id, horse_id, on_day);
create index entry_of_yard on entry (yard_id, on_day) where of_yard;
alter table entry enable row level security;
alter table entry force row level security;
create policy own_yard on entry to still_pine_app using (yard_id = yard_now()) with check (yard_id = yard_now());
grant select, insert, update on entry to still_pine_app;
-- One that holds for the whole yard is told to every page of it.
create trigger told after insert or update on entry for each row
  when (not new.of_yard) execute function tell_of_change('horse_id');
create trigger told_to_yard after insert or update on entry for each row
  when (new.of_yard) execute function tell_of_change();
-- Weight and rider say whether somebody may sit on a horse.
create trigger touches_horse after insert or update on entry for each row execute function touch_horse();
create trigger touches_horse after insert or update on measurement for each row execute function touch_horse();

-- Down Migration
drop trigger touches_horse on measurement;
drop table entry;
