-- What was believed of a lifter after each of their finished sessions, and how it moved their maxes. Kept are those of the first sessions up to
-- some day, without a gap: whatever changes in the book takes all of them away that came after it. A page goes on from the last one.
create table strength_after (
  -- no reference: whoever locks a session to change it may be waiting for whoever writes this
  session_id bigint primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  held_on date not null,
  -- the estimator's version
  estimator integer not null,
  -- as that version writes it; of long ago one a month is left
  belief text,
  movements text not null,
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade
);

create index strength_after_of_lifter on strength_after (club_id, lifter_id, held_on, session_id);

create function forget_strength(of_club bigint, of_lifter bigint, since date) returns void language sql
  set search_path from current as $$
  delete from strength_after where club_id = of_club and lifter_id = of_lifter and held_on >= since
$$;

-- Maxes count from their day on; the kit that one was lifted in says how all sets are to be read.
create function strength_max_changed() returns trigger language plpgsql set search_path from current as $$
begin
  if tg_op <> 'INSERT' then
    perform forget_strength(old.club_id, old.lifter_id,
      case when coalesce(cardinality(old.worn), 0) > 0 then '-infinity' else old.on_date end);
  end if;
  if tg_op <> 'DELETE' then
    perform forget_strength(new.club_id, new.lifter_id,
      case when coalesce(cardinality(new.worn), 0) > 0 then '-infinity' else new.on_date end);
  end if;
  return null;
end $$;

create trigger strength_changes after insert or update or delete on recorded_max
  for each row execute function strength_max_changed();

-- What a coach decided holds for all that was ever lifted; the maxes of a lift count while it has numbers.
create function strength_numbers_changed() returns trigger language plpgsql set search_path from current as $$
declare
  before jsonb := case when tg_op = 'INSERT' then '{}' else to_jsonb(old) end;
  after jsonb := case when tg_op = 'DELETE' then '{}' else to_jsonb(new) end;
  one jsonb := case when tg_op = 'DELETE' then before else after end;
begin
  if (before ->> 'rep_curve', before ->> 'ratio', before ->> 'rating_bias')
      is distinct from (after ->> 'rep_curve', after ->> 'ratio', after ->> 'rating_bias')
      or tg_op <> 'UPDATE' and exists (
        select 1 from recorded_max m where m.club_id = (one ->> 'club_id')::bigint
          and m.lifter_id = (one ->> 'lifter_id')::bigint and m.lift = one ->> 'lift') then
    perform forget_strength((one ->> 'club_id')::bigint, (one ->> 'lifter_id')::bigint, '-infinity');
  end if;
  return null;
end $$;

create trigger strength_changes after insert or update or delete on lift_numbers
  for each row execute function strength_numbers_changed();

create function strength_session_changed() returns trigger language plpgsql set search_path from current as $$
begin
  if tg_op = 'UPDATE' and (old.held_on, old.finished_at is null, old.lifter_id)
      is not distinct from (new.held_on, new.finished_at is null, new.lifter_id) then
    return null;
  end if;
  if tg_op <> 'INSERT' and old.finished_at is not null then
    perform forget_strength(old.club_id, old.lifter_id, old.held_on);
  end if;
  if tg_op <> 'DELETE' and new.finished_at is not null then
    perform forget_strength(new.club_id, new.lifter_id, new.held_on);
  end if;
  return null;
end $$;

create trigger strength_changes after insert or update or delete on training_session
  for each row execute function strength_session_changed();

create function strength_set_changed() returns trigger language plpgsql set search_path from current as $$
declare
  changed logged_set;
begin
  changed := case when tg_op = 'DELETE' then old else new end;
  perform forget_strength(s.club_id, s.lifter_id, s.held_on) from training_session s
    where s.id = changed.session_id and s.club_id = changed.club_id and s.finished_at is not null;
  return null;
end $$;

create trigger strength_changes after insert or update or delete on logged_set
  for each row execute function strength_set_changed();

create function strength_lifts_changed() returns trigger language plpgsql set search_path from current as $$
begin
  delete from strength_after where club_id = case when tg_op = 'DELETE' then old.club_id else new.club_id end;
  return null;
end $$;

create trigger strength_changes after insert or update or delete on own_variation
  for each row execute function strength_lifts_changed();
