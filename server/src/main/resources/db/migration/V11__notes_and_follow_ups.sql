-- Whom a call was with and on which line, to find all calls with somebody, or of a line.
alter table history
  add column other_key varchar(20), -- an E.164 number, or p and a person
  add column line_key  varchar(20); -- g and a group, where it came in on a group's line
update history set
  other_key = case json_value(body, '$.other.is')
    when 'Outside' then json_value(body, '$.other.number.e164')
    when 'Employee' then concat('p', json_value(body, '$.other.id.value'))
  end,
  line_key = case json_value(body, '$.line.is')
    when 'Members' then concat('g', json_value(body, '$.line.id.value'))
  end;
alter table history
  add index history_by_other (other_key, began, id),
  add index history_by_line (person_id, line_key, began, id);

-- What somebody wrote about a call of theirs. Colleagues read it when the same caller calls again.
create table call_note (
  call_id    varchar(40)  not null,
  person_id  bigint       not null references person (id),
  other_key  varchar(20),
  title      varchar(200) not null,
  text       text         not null,
  outcome    varchar(80)  not null default '',
  written_at datetime(6)  not null,
  primary key (person_id, call_id),
  index note_by_other (other_key, written_at)
);

-- What is still to be done for a caller, by whom and when.
create table follow_up (
  id        bigint       not null auto_increment primary key,
  call_id   varchar(40),
  other_key varchar(20),
  what      varchar(400) not null,
  due       datetime(6)  not null,
  assignee  bigint       not null references person (id),
  made_by   bigint       not null references person (id),
  made_at   datetime(6)  not null,
  done_at   datetime(6),
  done_by   bigint,
  told      boolean      not null default false, -- whether the assignee was told that it is due
  index follow_up_of (assignee, done_at, due),
  index follow_up_by_other (other_key, done_at),
  index follow_up_due (told, done_at, due)
);

-- What a person writes again and again.
create table stock_phrase (
  person_id bigint       not null references person (id),
  position  int          not null,
  text      varchar(400) not null,
  primary key (person_id, position)
);
