-- What lifters guessed of drawn sets, for practice in rating. Nothing else reads it.
create table practice_guess (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  lift text not null,
  -- the number the set was drawn by: a set is guessed at once
  drawn bigint not null,
  said smallint not null check (said between 0 and 10),
  was smallint not null check (was between 0 and 10),
  guessed_at timestamptz not null,
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  unique (club_id, lifter_id, lift, drawn)
);

create index practice_guess_latest on practice_guess (club_id, lifter_id, id);
