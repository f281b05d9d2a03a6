-- Instants are UTC with microseconds; telephone numbers are E.164 text.

create table team (
  id        bigint       not null primary key,
  name      varchar(80)  not null unique,
  position  int          not null,
  extension varchar(8)   unique,
  number    varchar(16)  unique
);

create table person (
  id            bigint       not null primary key,
  name          varchar(120) not null,
  sign_in_name  varchar(60)  not null unique,
  password_hash varchar(120) not null,
  role          varchar(20)  not null,
  extension     varchar(8)   not null unique,
  direct_number varchar(16)  unique,
  team_id       bigint       not null references team (id),
  site          varchar(80)  not null,
  ring_seconds  int          not null default 20,
  call_waiting  boolean      not null default true,
  tips_seen     boolean      not null default false,
  -- how a simulated colleague stands in while nobody is signed in as this person
  stand_in      varchar(10)  not null default 'NONE'
);

create table setting (
  name  varchar(60)  not null primary key,
  value varchar(400) not null
);

-- Every event of the exchange, in the order in which it happened.
create table journal (
  seq     bigint      not null primary key,
  call_id varchar(40) not null,
  at      datetime(6) not null,
  type    varchar(40) not null,
  body    text        not null,
  index journal_by_call (call_id, seq)
);

-- Calls in progress: what is replayed when the server starts.
create table open_call (
  call_id varchar(40) not null primary key
);

-- One row for each employee who had a part in a call; derived from the journal.
create table history (
  id        bigint       not null auto_increment primary key,
  person_id bigint       not null references person (id),
  call_id   varchar(40)  not null,
  direction varchar(10)  not null,
  result    varchar(30)  not null,
  began     datetime(6)  not null,
  ended     datetime(6)  not null,
  rang_ms   bigint       not null,
  talked_ms bigint       not null,
  held_ms   bigint       not null,
  body      text         not null,
  search    varchar(400) not null,
  unique key history_once (person_id, call_id),
  index history_by_day (person_id, began, id)
);
