-- Lifters that came from a list, so that they can be put away again in one step.
create table roster_import (
  id bigint generated always as identity primary key,
  club_id bigint not null references club (id) deferrable,
  -- only whoever brought them puts them away again
  account_id bigint not null,
  brought_at timestamp with time zone not null,
  lifters bigint[] not null,
  taken_back_at timestamp with time zone
);
create index roster_import_by_account on roster_import (club_id, account_id, id desc);
