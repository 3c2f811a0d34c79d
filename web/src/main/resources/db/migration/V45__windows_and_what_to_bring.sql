-- The last day of a window within which a contest will be, and what to bring, one thing a line.

alter table contest add column held_until date;
alter table contest add check (held_until is null or held_on is not null and held_until > held_on);
alter table contest add column bring text check (length(bring) <= 1000);
