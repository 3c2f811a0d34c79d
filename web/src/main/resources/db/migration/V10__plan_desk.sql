-- The coach's desk: what weeks are for, slots and days that can be taken away and brought back, what was planned when a
-- session was begun, templates, gates that a coach confirmed, and what undo needs in the one ledger.

alter table lift_numbers add column event_load numeric(16, 11) check (event_load > 0);

alter table block
  add column shape text not null default '',
  add column contest_on date,
  add column origin text not null default '',
  add column given_from bigint,
  add column put_aside_on date,
  add foreign key (club_id, given_from) references block (club_id, id);

-- whoever reorders days, slots or letters rewrites several rows, which for a moment are alike
alter table block_day drop constraint block_day_block_id_position_key, add column removed_at timestamp with time zone;
alter table slot
  drop constraint slot_block_day_id_position_key,
  drop constraint slot_block_day_id_letter_key,
  add column school text,
  add column reason text,
  add column removed_at timestamp with time zone;
create index block_day_by_block on block_day (block_id, position);
create index slot_by_day on slot (block_day_id, position);

-- what the plan asked for when the session's first set was logged, a line a slot; it stays, whatever the plan becomes
alter table training_session add column planned text;

alter table change_entry
  -- the block it belongs to, known to the ledger by its number only
  add column block_id bigint,
  -- what undoing it takes, known to the room that wrote it
  add column payload text,
  add column undoes bigint references change_entry (id);
create index change_entry_by_block on change_entry (club_id, block_id, id desc) where block_id is not null;

create table plan_template (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id),
  kind text not null check (kind in ('SCHEME', 'DAY', 'BLOCK')),
  name text not null check (name <> ''),
  body text not null,
  made_by text not null,
  made_at timestamp with time zone not null,
  removed_at timestamp with time zone,
  unique (club_id, id)
);
create index plan_template_by_club on plan_template (club_id, name) where removed_at is null;

create table gate_confirmation (
  id bigint generated always as identity primary key,
  club_id bigint not null,
  lifter_id bigint not null,
  slot_id bigint not null,
  gate text not null,
  spotter text not null check (spotter <> ''),
  confirmed_by text not null,
  confirmed_at timestamp with time zone not null,
  unique (slot_id, gate),
  foreign key (club_id, lifter_id) references lifter (club_id, id),
  foreign key (club_id, slot_id) references slot (club_id, id)
);
