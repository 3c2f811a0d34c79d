-- Until when a lifter may think better of having everything of theirs deleted.
alter table lifter add column leaves_on date;
create index lifter_leaving on lifter (leaves_on) where leaves_on is not null;

-- What hangs on a sign-in and nothing else goes with it.
alter table sent_form drop constraint sent_form_account_id_fkey,
  add foreign key (account_id) references account (id) on delete cascade;
alter table calendar_address drop constraint calendar_address_club_id_account_id_fkey,
  add foreign key (club_id, account_id) references account (club_id, id) on delete cascade;
alter table recovery_code drop constraint recovery_code_club_id_account_id_fkey,
  add foreign key (club_id, account_id) references account (club_id, id) on delete cascade;

-- Rooms delete what they keep of a lifter without knowing of each other: what refers to what is looked at once, at the end.
do $$
declare
  one record;
begin
  for one in select conrelid::regclass as held_by, conname from pg_constraint
    where contype = 'f' and not condeferrable and connamespace = current_schema()::regnamespace
  loop
    execute format('alter table %s alter constraint %I deferrable initially immediate', one.held_by, one.conname);
  end loop;
end $$;
