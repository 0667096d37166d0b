-- Up Migration
-- How hot it is and what law asks hold for every horse of a yard: what was judged of any of them is made anew.
create function touch_yard() returns trigger language plpgsql as $$
begin
  -- In one order, so that two who write at once wait for each other and do not block.
  perform 1 from horse where yard_id = new.yard_id order by id for update;
  update horse set revision = revision where yard_id = new.yard_id;
  return null;
end $$;
create trigger touches_yard after insert or update on entry for each row
  when (new.of_yard and new.kind in ('heat', 'law')) execute function touch_yard();

-- Down Migration
drop trigger touches_yard on entry;
drop function touch_yard();
