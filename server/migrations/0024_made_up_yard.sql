-- Up Migration
-- A made-up yard to look at, beside one's own: at most one for each.
alter table yard add column made_up_for uuid unique references yard;

create function made_up_yard_of(own uuid, out yard_id uuid, out person_id uuid)
  language sql stable security definer set search_path = public, pg_temp as
  $$ select y.id, p.id from yard y join person p on p.yard_id = y.id
     where y.made_up_for = own and p.role = 'starter' order by p.created_at, p.id limit 1 $$;
grant create on schema public to still_pine_lookup;
alter function made_up_yard_of owner to still_pine_lookup;
revoke create on schema public from still_pine_lookup;
revoke all on function made_up_yard_of from public;
grant execute on function made_up_yard_of to still_pine_app;

-- Down Migration
drop function made_up_yard_of;
alter table yard drop column made_up_for;
