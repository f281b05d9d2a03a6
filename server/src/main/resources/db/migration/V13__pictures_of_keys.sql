-- A picture that somebody has given a speed dial of theirs.
alter table speed_dial add column picture mediumblob null;

-- Where colleagues are written to.
alter table person add column mail varchar(254) not null default '';
