-- A slip keeps which rule gave it, and how urgent it is; what it proposes is worked out when it is looked at, whatever it is.

alter table slip add column rule text not null default 'estimate-apart';
alter table slip alter column rule drop default;
alter table slip add column raises boolean;
alter table slip add column size numeric(16, 11);

update slip set raises = proposed > before, size = abs(proposed - before) * 100 / before;

alter table slip alter column raises set not null;
alter table slip alter column size set not null;
alter table slip add check (size >= 0);
alter table slip drop column before;
alter table slip drop column proposed;
