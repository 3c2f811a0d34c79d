-- What was said of the columns of a table holds for the next one of its shape, whatever the table is of.
alter table import_shape add column of text not null default 'LOG';
alter table import_shape alter column of drop default;
alter table import_shape drop constraint import_shape_pkey;
alter table import_shape add primary key (club_id, account_id, of, shape);
