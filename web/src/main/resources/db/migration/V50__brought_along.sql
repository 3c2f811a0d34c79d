-- What came from a file, known here by the number of the import only, so that it can be taken back in one step.
alter table training_session add column import_id bigint;
alter table logged_set add column import_id bigint;
create index training_session_by_import on training_session (club_id, import_id) where import_id is not null;
create index logged_set_by_import on logged_set (club_id, import_id) where import_id is not null;

-- A log of years comes in at once: what hangs on sets and sessions is moved on once a statement, no longer once a row.
drop trigger book_changes on training_session;
drop trigger strength_changes on training_session;
drop trigger book_changes on logged_set;
drop trigger strength_changes on logged_set;
drop function book_session_changed();
drop function book_set_changed();
drop function strength_session_changed();
drop function strength_set_changed();

-- In the order of their numbers, so that two who change the same books wait for each other.
create function change_books(lifters bigint[]) returns void language sql set search_path from current as $$
  insert into book_version (lifter_id, club_id, version)
    select l.id, l.club_id, gen_random_uuid() from lifter l where l.id = any (lifters) order by l.id
  on conflict (lifter_id) do update set version = excluded.version
$$;

-- Sessions count once they are finished; what is open is read with each page. How a session is judged is worked out from
-- the rest of it.
create function sessions_came() returns trigger language plpgsql set search_path from current as $$
begin
  perform change_books(array(select lifter_id from came where finished_at is not null group by lifter_id));
  delete from strength_after a using (
    select club_id, lifter_id, min(held_on) as since from came where finished_at is not null group by club_id, lifter_id) c
  where a.club_id = c.club_id and a.lifter_id = c.lifter_id and a.held_on >= c.since;
  return null;
end $$;

create function sessions_went() returns trigger language plpgsql set search_path from current as $$
begin
  perform change_books(array(select lifter_id from went where finished_at is not null group by lifter_id));
  delete from strength_after a using (
    select club_id, lifter_id, min(held_on) as since from went where finished_at is not null group by club_id, lifter_id) w
  where a.club_id = w.club_id and a.lifter_id = w.lifter_id and a.held_on >= w.since;
  return null;
end $$;

create function sessions_changed() returns trigger language plpgsql set search_path from current as $$
begin
  perform change_books(array(
    select one.lifter_id from went w join came c using (id), lateral (values
        (w.lifter_id, w.finished_at), (c.lifter_id, c.finished_at)) as one (lifter_id, finished_at)
      where to_jsonb(w) - 'judgement' <> to_jsonb(c) - 'judgement' and one.finished_at is not null
      group by one.lifter_id));
  delete from strength_after a using (
    select one.club_id, one.lifter_id, min(one.held_on) as since from went w join came c using (id), lateral (values
        (w.club_id, w.lifter_id, w.held_on, w.finished_at), (c.club_id, c.lifter_id, c.held_on, c.finished_at))
        as one (club_id, lifter_id, held_on, finished_at)
      where (w.held_on, w.finished_at is null, w.lifter_id) is distinct from (c.held_on, c.finished_at is null, c.lifter_id)
        and one.finished_at is not null
      group by one.club_id, one.lifter_id) x
  where a.club_id = x.club_id and a.lifter_id = x.lifter_id and a.held_on >= x.since;
  return null;
end $$;

create trigger sessions_came after insert on training_session
  referencing new table as came for each statement execute function sessions_came();
create trigger sessions_went after delete on training_session
  referencing old table as went for each statement execute function sessions_went();
create trigger sessions_changed after update on training_session
  referencing old table as went new table as came for each statement execute function sessions_changed();

create function sets_of_sessions_changed(sessions bigint[]) returns void language plpgsql set search_path from current as $$
begin
  perform change_books(array(
    select lifter_id from training_session where id = any (sessions) and finished_at is not null group by lifter_id));
  delete from strength_after a using (
    select club_id, lifter_id, min(held_on) as since from training_session
      where id = any (sessions) and finished_at is not null group by club_id, lifter_id) s
  where a.club_id = s.club_id and a.lifter_id = s.lifter_id and a.held_on >= s.since;
end $$;

create function sets_came() returns trigger language plpgsql set search_path from current as $$
begin
  perform sets_of_sessions_changed(array(select distinct session_id from came));
  return null;
end $$;

create function sets_went() returns trigger language plpgsql set search_path from current as $$
begin
  perform sets_of_sessions_changed(array(select distinct session_id from went));
  return null;
end $$;

create trigger sets_came after insert on logged_set
  referencing new table as came for each statement execute function sets_came();
create trigger sets_changed after update on logged_set
  referencing new table as came for each statement execute function sets_came();
create trigger sets_went after delete on logged_set
  referencing old table as went for each statement execute function sets_went();

-- A file that somebody brought, or a table they pasted.
create table import_file (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id),
  -- only whoever brought it goes on with it
  account_id bigint not null,
  brought_at timestamp with time zone not null,
  name text not null,
  -- how its text was encoded and what stands between its fields; neither in a workbook
  encoding text,
  separator text,
  sheets text[] not null,
  sheet int not null default 0,
  -- of each sheet
  rows int[] not null,
  -- whose log it is, where it does not say so itself
  lifter_id bigint,
  -- what whoever brought it says of it: what its columns hold, how days and loads are written, when its weeks were
  holds text[],
  day_order text,
  unit text,
  first_week date,
  trained text[],
  slips text,
  doubtful text,
  status text not null check (status in ('OPEN', 'TAKING', 'TAKEN', 'TAKEN_BACK')),
  status_at timestamp with time zone not null,
  sets int,
  days int,
  unique (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id)
);
create index import_file_by_account on import_file (club_id, account_id, id desc);

-- Its rows, some thousands in each part: CSV, compressed.
create table import_part (
  club_id bigint not null,
  import_id bigint not null,
  sheet int not null,
  part int not null,
  rows bytea not null,
  primary key (import_id, sheet, part),
  foreign key (club_id, import_id) references import_file (club_id, id) on delete cascade
);

-- How files of a shape were read the last time.
create table import_shape (
  club_id bigint not null references club (id),
  account_id bigint not null,
  shape text not null,
  holds text[] not null,
  day_order text,
  unit text,
  primary key (club_id, account_id, shape)
);

-- What a name in somebody's spreadsheet means; no lift where it is left out.
create table import_name (
  club_id bigint not null references club (id),
  name text not null,
  lift text,
  primary key (club_id, name)
);
