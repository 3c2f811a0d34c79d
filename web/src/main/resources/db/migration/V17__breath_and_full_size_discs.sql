-- Bodily capacity, which says more of a beginner than the bar does; and plates that have the full diameter although light.

alter table lifter add column breath text check (breath in ('LASTS', 'GASPS'));
alter table piece add column full_size boolean not null default false;
