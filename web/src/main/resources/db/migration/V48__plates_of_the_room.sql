-- What lies beside each bar of the warm-up room, one of each pair; none where it is the usual.

alter table contest add column plates text check (length(plates) <= 200);
