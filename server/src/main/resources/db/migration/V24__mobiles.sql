-- A colleague's mobile, for everybody in the office; no device of theirs by that.
alter table person add column mobile varchar(16) after mail;
