-- Calls that are recorded. Sound is kept in one place, whatever it is of.
create table sound (
  id       bigint  not null auto_increment primary key,
  channels tinyint not null,
  samples  int     not null -- of each channel; 0 as long as not all of it is here
);
insert into sound (id, channels, samples)
  select m.id, 1, coalesce(sum(length(s.sound)), 0)
  from message m left join message_sound s on s.message_id = m.id group by m.id;
rename table message_sound to sound_second;
alter table sound_second
  change message_id sound_id bigint not null,
  -- 16 kHz, A-law, the samples of the channels in turn
  modify sound varbinary(32000) not null;
delete from sound_second where sound_id not in (select id from sound);
alter table sound_second add foreign key (sound_id) references sound (id) on delete cascade;
alter table message add column sound_id bigint not null default 0, add index message_by_sound (sound_id);
update message set sound_id = id;
alter table message alter column sound_id drop default;

alter table person add column recording varchar(10) not null default 'ON_DEMAND';

create table recording (
  id         bigint        not null auto_increment primary key,
  -- where it was recorded, so that nothing is filed twice
  place      varchar(120)  not null unique,
  call_id    varchar(64)   not null,
  owner      bigint        not null, -- the employee for whom it was recorded
  other      varchar(200)  not null, -- a party
  line       varchar(200), -- a party; null for a call they placed
  began      datetime(6)   not null,
  length_ms  int           not null default 0,
  sound_id   bigint        not null,
  ready      boolean       not null default false, -- all of it is here
  ours       varbinary(400) not null default '',
  theirs     varbinary(400) not null default '',
  marks      mediumtext    not null default '[]',
  note       varchar(2000) not null default '',
  keep_until datetime(6), -- when its owner wants it for longer than the office keeps it
  removed_at datetime(6),
  -- NONE, WAITING, DONE, or FAILED when there can be none
  transcript varchar(8)    not null default 'NONE',
  words      mediumtext    not null default '[]',
  index recording_of_owner (owner, ready, removed_at, began, id),
  index recording_of_call (call_id, owner),
  index recording_by_age (began),
  index recording_by_removal (removed_at),
  index recording_to_transcribe (transcript, id),
  index recording_by_sound (sound_id)
);

-- Notes at a moment.
create table recording_remark (
  id           bigint       not null auto_increment primary key,
  recording_id bigint       not null references recording (id) on delete cascade,
  at_ms        int          not null,
  text         varchar(500) not null,
  by_person    bigint       not null
);

-- Handed to a colleague for a time.
create table recording_share (
  recording_id bigint      not null references recording (id) on delete cascade,
  person       bigint      not null,
  until_at     datetime(6) not null,
  primary key (recording_id, person),
  index recording_share_of (person, until_at)
);

-- Who did what with a recording. It outlives what it speaks of, and cannot be changed.
create table recording_log (
  id           bigint       not null auto_increment primary key,
  recording_id bigint       not null,
  owner        bigint       not null,
  other        varchar(200) not null, -- whom it was with and when, should it be gone
  began        datetime(6)  not null,
  at           datetime(6)  not null,
  by_person    bigint, -- null for the office itself
  deed         varchar(12)  not null,
  about        varchar(200) not null default '',
  index recording_log_of (recording_id, id),
  index recording_log_by_time (at, id)
);
create trigger recording_log_stays before update on recording_log for each row
  signal sqlstate '45000' set message_text = 'the log of recordings cannot be changed';
create trigger recording_log_is_kept before delete on recording_log for each row
  signal sqlstate '45000' set message_text = 'the log of recordings cannot be changed';

alter table history
  add column recorded boolean not null default false,
  add index history_recorded (person_id, recorded, began, id);
