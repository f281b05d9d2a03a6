-- What each person has chosen for their calls.
alter table person
  add column caller_id varchar(10) not null default 'DIRECT',
  -- park slots the person does not want to see, separated by blanks
  add column hidden_slots varchar(400) not null default '';

-- Where calls can wait, in the order in which they are filled.
create table park_slot (
  number   varchar(8)  not null primary key,
  label    varchar(60) not null default '',
  position int         not null
);

-- For finding missed calls that nobody has returned.
alter table history
  -- a call's course has no limit
  modify column body mediumtext not null,
  -- who was at the other end: an E.164 number or p and a person's identity; empty when withheld
  add column other_key varchar(24) not null default '',
  -- the group on whose line it came in; 0 when on none
  add column line_group bigint not null default 0,
  add column spoke boolean not null default false,
  add index history_by_other (other_key, spoke, ended),
  add index history_by_line (line_group, began);

update history set spoke = (result = 'ANSWERED'),
  other_key = case json_value(body, '$.other.is')
    when 'Outside' then json_value(body, '$.other.number.e164')
    when 'Employee' then concat('p', json_value(body, '$.other.id.value')) else '' end,
  line_group = case json_value(body, '$.line.is')
    when 'Members' then json_value(body, '$.line.id.value') else 0 end;

-- The other call or wish that an event changes too: all of them are replayed together.
alter table journal
  add column other_call varchar(40) not null default '',
  add index journal_by_other (other_call);

update journal set other_call = json_value(body, '$.other.value') where type = 'Merged';
