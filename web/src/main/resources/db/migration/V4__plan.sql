-- Blocks: weeks, days, slots, and a dose for each slot and week in canonical shorthand.

create table block (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  name text not null,
  start_on date not null,
  weeks int not null check (weeks between 1 and 52),
  unique (club_id, id),
  foreign key (club_id, lifter_id) references lifter (club_id, id)
);
create index block_by_lifter on block (club_id, lifter_id, start_on);

create table block_day (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  block_id bigint not null,
  position int not null,
  name text not null,
  day_offset int not null check (day_offset between 0 and 6),
  unique (club_id, id),
  unique (block_id, position),
  foreign key (club_id, block_id) references block (club_id, id)
);

create table slot (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  block_day_id bigint not null,
  position int not null,
  letter text not null,
  lift text not null,
  unique (club_id, id),
  unique (block_day_id, position),
  unique (block_day_id, letter),
  foreign key (club_id, block_day_id) references block_day (club_id, id)
);

create table dose_cell (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  slot_id bigint not null,
  week int not null check (week between 0 and 51),
  shorthand text not null check (shorthand <> ''),
  version int not null default 0,
  unique (slot_id, week),
  foreign key (club_id, slot_id) references slot (club_id, id)
);
