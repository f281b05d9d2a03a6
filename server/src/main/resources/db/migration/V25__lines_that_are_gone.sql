-- A line that is gone keeps its name, for whatever still speaks of it.
alter table ring_group add column gone boolean not null default false;
