-- By what identity a request asked for this, so that it counts once also after a restart; read from the last events only.
alter table journal add column submission varchar(160) not null default '';
