-- What is remembered of a lifter's book (here, and in the memory of any copy of the application) holds for one version of it.
-- The database itself moves the version on when anything changes that it was worked out from, whoever changes it.
create table book_version (
  lifter_id bigint primary key,
  club_id bigint not null,
  -- no number: one that a transaction took back would come again for something else
  version uuid not null,
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade
);

insert into book_version (lifter_id, club_id, version) select id, club_id, gen_random_uuid() from lifter;

create index open_session on training_session (club_id, lifter_id, held_on) where finished_at is null;

create function change_book(of_club bigint, of_lifter bigint) returns void language sql set search_path from current as $$
  insert into book_version (lifter_id, club_id, version)
    select of_lifter, of_club, gen_random_uuid()
  on conflict (lifter_id) do update set version = excluded.version
$$;

-- Numbers, and maxes that were set down.
create function book_numbers_changed() returns trigger language plpgsql set search_path from current as $$
begin
  if tg_op <> 'INSERT' then
    perform change_book(old.club_id, old.lifter_id);
  end if;
  if tg_op <> 'DELETE' then
    perform change_book(new.club_id, new.lifter_id);
  end if;
  return null;
end $$;

create trigger book_changes after insert or update or delete on lift_numbers
  for each row execute function book_numbers_changed();
create trigger book_changes after insert or update or delete on recorded_max
  for each row execute function book_numbers_changed();

-- Sessions count once they are finished; what is open is read with each page. How a session is judged is worked out from
-- the rest of it.
create function book_session_changed() returns trigger language plpgsql set search_path from current as $$
begin
  if tg_op = 'UPDATE' and to_jsonb(old) - 'judgement' = to_jsonb(new) - 'judgement' then
    return null;
  end if;
  if tg_op <> 'INSERT' and old.finished_at is not null then
    perform change_book(old.club_id, old.lifter_id);
  end if;
  if tg_op <> 'DELETE' and new.finished_at is not null then
    perform change_book(new.club_id, new.lifter_id);
  end if;
  return null;
end $$;

create trigger book_changes after insert or update or delete on training_session
  for each row execute function book_session_changed();

create function book_set_changed() returns trigger language plpgsql set search_path from current as $$
declare
  changed logged_set;
begin
  changed := case when tg_op = 'DELETE' then old else new end;
  perform change_book(s.club_id, s.lifter_id) from training_session s
    where s.id = changed.session_id and s.club_id = changed.club_id and s.finished_at is not null;
  return null;
end $$;

create trigger book_changes after insert or update or delete on logged_set
  for each row execute function book_set_changed();

-- A club's own lifts are everybody's.
create function book_lifts_changed() returns trigger language plpgsql set search_path from current as $$
begin
  perform change_book(l.club_id, l.id) from lifter l
    where l.club_id = case when tg_op = 'DELETE' then old.club_id else new.club_id end
    order by l.id;
  return null;
end $$;

create trigger book_changes after insert or update or delete on own_variation
  for each row execute function book_lifts_changed();
