-- A timed course is told apart by tenths.

alter table logged_set alter column seconds type numeric(7, 2);
