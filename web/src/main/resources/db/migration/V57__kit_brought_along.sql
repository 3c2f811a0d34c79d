-- Pieces of kit that came from a list, so that they can be taken away again in one step.
create table kit_import (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id) deferrable,
  -- only whoever brought them takes them away again
  account_id bigint not null,
  brought_at timestamp with time zone not null,
  pieces bigint[] not null,
  taken_back_at timestamp with time zone
);
create index kit_import_by_account on kit_import (club_id, account_id, id desc);
