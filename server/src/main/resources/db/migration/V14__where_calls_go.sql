-- What people and lines have decided about their calls.
create table call_rules (
  owner_key varchar(24) not null primary key, -- p and the person, g and the group
  body      longtext    not null
);
create sequence rule_number;

-- Days on which the office does not work as usual.
create table holiday (
  day  date         not null primary key,
  name varchar(120) not null
);

-- Who is not let through: to a person, or to nobody in the office.
create table block (
  id        bigint       not null auto_increment primary key,
  person_id bigint       null references person (id),
  kind      varchar(10)  not null,
  number    varchar(20)  not null, -- E.164, or how it begins; empty for withheld ones
  answer    varchar(12)  not null,
  note      varchar(200) not null,
  made_by   bigint       not null references person (id),
  made_at   datetime(6)  not null,
  owner     bigint as (coalesce(person_id, 0)) persistent,
  unique key one_for_each (owner, kind, number),
  index blocks_of (person_id, number)
);

-- Each attempt of somebody who is blocked. The block may be gone by now.
create table block_attempt (
  id        bigint       not null auto_increment primary key,
  block_id  bigint       not null,
  person_id bigint       null, -- whose block it was; null for the office's
  call_id   varchar(40)  not null unique,
  number    varchar(20)  not null, -- of whoever called, in E.164; empty when withheld
  called    varchar(24)  not null, -- as in call_rules
  at        datetime(6)  not null,
  index attempts_of (person_id, at)
);

-- Members of a group who do not take part at present.
alter table group_member add column resting boolean not null default false;
