-- A block can be taken away and brought back. Which block another takes the place of, and when, follows from their dates.
alter table block drop column put_aside_on;
alter table block add column removed_at timestamptz;
