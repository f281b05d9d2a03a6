-- A telephone outside that is one of somebody's devices; null when they have named none.
alter table person add column outside_phone varchar(20) null;
