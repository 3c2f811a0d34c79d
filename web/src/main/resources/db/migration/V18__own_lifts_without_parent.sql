-- An exercise of one's own need not be a variation of anything: then it says itself what it trains and loads.

alter table own_variation alter column parent drop not null;
alter table own_variation alter column ratio drop not null;
alter table own_variation add column trains varchar[] not null default '{}';
alter table own_variation add column loads varchar[] not null default '{}';
alter table own_variation add check ((parent is null) = (ratio is null));
