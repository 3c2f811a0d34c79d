-- What coaches wrote about lifters' weeks.

create table kept_week (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  monday date not null check (extract(isodow from monday) = 1),
  words text not null check (length(words) <= 4000),
  kept_at timestamp with time zone not null,
  kept_by_name text not null,
  -- how often it was written; 0 while somebody is about to
  edition integer not null check (edition >= 0),
  unique (lifter_id, monday),
  foreign key (club_id, lifter_id) references lifter (club_id, id)
);

-- The newest of them, so that the lifter's home need not ask.
alter table lifter add column week_written date;
