-- Maxes and body masses that came from a table, so that they can be taken back in one step.
create table maxes_import (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id) deferrable,
  -- only whoever brought them takes them back
  account_id bigint not null,
  brought_at timestamp with time zone not null,
  maxes bigint[] not null,
  measurements bigint[] not null,
  -- working maxes that there were not before, and what they were made
  working bigint[] not null,
  made numeric[] not null,
  taken_back_at timestamp with time zone
);
create index maxes_import_by_account on maxes_import (club_id, account_id, id desc);
