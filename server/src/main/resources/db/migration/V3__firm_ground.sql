-- The journal holds events of calls, wishes and devices, each with the version it was written in.
alter table journal
  change column call_id subject varchar(80) not null,
  change column other_call other_subject varchar(80) not null default '',
  add column version smallint not null default 1;
alter table journal alter column version drop default;

-- What is replayed when the server starts, from the event on with which it began.
rename table open_call to open_subject;
alter table open_subject
  change column call_id subject varchar(80) not null,
  add column from_seq bigint not null default 0;

-- A call's course is the same for everybody who had a part in it.
create table call_course (
  call_id varchar(40) not null primary key,
  body    mediumtext  not null
);
insert into call_course (call_id, body)
  select call_id, course from (
    select call_id, json_extract(body, '$.course') as course,
      row_number() over (
        partition by call_id order by json_length(body, '$.course') desc, ended desc) as place
    from history) longest
  where place = 1;

alter table history
  -- what the rule in core calls missed
  add column missed boolean not null default false;
update history set body = json_remove(body, '$.course'),
  missed = result in ('MISSED', 'MISSED_BUSY', 'MISSED_NOT_SIGNED_IN', 'MISSED_LINES_BUSY');

-- Callers to call back, kept up with the history: on a person's list (p and their identity) or on
-- that of a group's line (g and its identity).
create table to_return (
  list    varchar(24) not null,
  caller  varchar(24) not null,
  call_id varchar(40) not null,
  began   datetime(6) not null,
  rang_ms bigint      not null,
  primary key (list, caller, call_id),
  index to_return_by_caller (caller, began)
);
insert into to_return (list, caller, call_id, began, rang_ms)
  select if(line_group <> 0, concat('g', line_group), concat('p', person_id)) as whose,
    other_key, call_id, min(began), max(rang_ms)
  from history missed_one
  where missed and other_key <> '' and other_key <> concat('p', person_id)
    and not exists (
      select 1 from history spoken
      where spoken.other_key = missed_one.other_key and spoken.spoke
        and spoken.ended >= missed_one.began
        and (missed_one.other_key like '+%' or spoken.person_id = missed_one.person_id
          or (missed_one.line_group <> 0 and spoken.line_group = missed_one.line_group)))
  group by whose, other_key, call_id;

-- Groups have members of their own, whatever teams they are in.
create table ring_group (
  id           bigint      not null primary key,
  name         varchar(80) not null,
  position     int         not null,
  extension    varchar(8)  not null unique,
  number       varchar(16) unique,
  ring_seconds int         not null default 30
);
create table group_member (
  group_id  bigint not null references ring_group (id),
  person_id bigint not null references person (id),
  position  int    not null,
  primary key (group_id, person_id)
);
insert into ring_group (id, name, position, extension, number)
  select id, name, position, extension, number from team where extension is not null;
insert into group_member (group_id, person_id, position)
  select g.id, p.id, row_number() over (partition by g.id order by p.extension)
  from ring_group g join person p on p.team_id = g.id;
alter table team drop column extension, drop column number;

alter table person
  -- the office keeps the name of whoever has left, for whatever still speaks of them
  add column has_left boolean not null default false,
  add column must_change_password boolean not null default false;

insert into setting (name, value)
  select 'demo', 'true' from person where sign_in_name = 'ines' and name = 'Ines Calloway';
insert ignore into setting (name, value) select 'zone', 'Europe/London' from setting limit 1;
