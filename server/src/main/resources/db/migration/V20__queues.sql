-- Lines that keep callers until somebody is free.
create table queue (
  group_id bigint   not null primary key references ring_group (id),
  body     longtext not null
);

-- What became of each call that came to wait at a line.
create table queue_wait (
  id        bigint      not null auto_increment primary key,
  call_id   varchar(40) not null,
  group_id  bigint      not null,
  number    varchar(20) null, -- that called, in the form of E.164
  entered   datetime(6) not null,
  waited_ms bigint      not null,
  outcome   varchar(12) not null,
  person_id bigint      null, -- the employee who answered
  unique key once (call_id, group_id, entered),
  index waits_of (group_id, entered, outcome, waited_ms, person_id),
  index waits_lately (entered, group_id, number)
);

-- How long members spoke with callers of a line.
create table queue_served (
  id        bigint      not null auto_increment primary key,
  call_id   varchar(40) not null,
  group_id  bigint      not null,
  person_id bigint      not null,
  answered  datetime(6) not null,
  talked_ms bigint      not null,
  unique key once (call_id, person_id, answered),
  index served_of (group_id, answered, person_id, talked_ms),
  index served_lately (answered, person_id, talked_ms)
);

-- How long members wrote down what calls were about.
create table queue_finished (
  id         bigint      not null auto_increment primary key,
  group_id   bigint      not null,
  person_id  bigint      not null,
  began      datetime(6) not null,
  took_ms    bigint      not null,
  unique key once (person_id, began),
  index finished_of (group_id, began, person_id, took_ms)
);

-- At which minutes of a half hour members were there for a line: one bit for each, the first minute lowest.
create table queue_present (
  group_id  bigint       not null,
  half_hour datetime     not null,
  person_id bigint       not null,
  minutes   int unsigned not null,
  primary key (group_id, half_hour, person_id)
);

-- What those who lead a line have done with others.
create table queue_log (
  id        bigint      not null auto_increment primary key,
  group_id  bigint      not null,
  at        datetime(6) not null,
  by_person bigint      not null,
  what      varchar(12) not null,
  person_id bigint      null, -- whom it was done to
  call_id   varchar(40) null,
  caller    varchar(40) null, -- their number
  to_group  bigint      null, -- where to
  reason    varchar(60) not null,
  index log_of (group_id, at)
);

-- The music of lines that have their own.
create table line_music (
  group_id bigint       not null primary key references ring_group (id),
  name     varchar(200) not null,
  samples  longblob     not null, -- 16 bits, 16 kHz, one channel
  since    datetime(6)  not null
);
