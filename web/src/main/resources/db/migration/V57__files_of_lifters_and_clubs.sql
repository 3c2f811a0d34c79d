-- A file of a lifter or a club that somebody brought: what is in it until it is taken in, and what came of it, so that it is taken back as a whole.
create table brought_file (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  account_id bigint not null,
  name text not null check (length(name) between 1 and 200),
  brought_at timestamptz not null,
  size bigint not null check (size >= 0),
  content bytea,
  status text not null check (status in ('OPEN', 'TAKING', 'TAKEN', 'TAKEN_BACK')),
  status_at timestamptz not null,
  lifters bigint[] not null default '{}',
  came jsonb not null default '{}',
  foreign key (club_id, account_id) references account (club_id, id) on delete cascade deferrable,
  check (content is not null or status <> 'OPEN')
);
create index on brought_file (club_id, account_id);
