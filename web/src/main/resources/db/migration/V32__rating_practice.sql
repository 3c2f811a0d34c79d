-- What lifters guessed, of drawn sets and before sets of their own, for practice in rating. Nothing else reads it.
create table practice_guess (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  lift text not null,
  kind text not null check (kind in ('DRAWN', 'LIFTED')),
  -- the number the set was drawn by, or of the lifted set: a set is guessed at once
  number bigint not null,
  -- half repetitions left
  said smallint not null check (said between 0 and 20),
  was smallint not null check (was between 0 and 20),
  guessed_at timestamptz not null,
  foreign key (club_id, lifter_id) references lifter (club_id, id) on delete cascade,
  unique (club_id, lifter_id, kind, lift, number)
);

create index practice_guess_latest on practice_guess (club_id, lifter_id, kind, id);
