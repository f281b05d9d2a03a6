-- Music that the office has uploaded for callers who wait; at most one piece.
create table hold_music (
  only_one tinyint primary key default 1 check (only_one = 1),
  name varchar(200) not null,
  -- 16 bits, 16 kHz, one channel
  samples longblob not null,
  since datetime(6) not null
);
