-- Messages that are left for people and groups, and the greetings of their mailboxes. A mailbox is called
-- as the list of calls to return of the same owner: p and the person, g and the group.
alter table person add column mailbox boolean not null default true;
-- by which their messages are listened to by telephone; none until they have set it
alter table person add column pin_hash varchar(100);
alter table ring_group add column mailbox boolean not null default true;

create table message (
  id          bigint         not null auto_increment primary key,
  -- where it was recorded, so that nothing is filed twice: call and connection
  place       varchar(80)    not null unique,
  mailbox     varchar(20)    not null,
  caller      varchar(200)   not null, -- a party
  began       datetime(6)    not null,
  length_ms   int            not null,
  outline     varbinary(300) not null,
  heard_by    bigint,
  heard_at    datetime(6),
  dealt_by    bigint,
  dealt_at    datetime(6),
  note        varchar(2000)  not null default '',
  passed_by   bigint,
  passed_note varchar(500)   not null default '',
  removed_at  datetime(6),
  -- somebody still has to listen to it
  fresh       boolean        as (heard_at is null and dealt_at is null and removed_at is null) stored,
  -- WAITING, DONE, or NONE when there can be none
  transcript  varchar(8)     not null default 'WAITING',
  words       mediumtext     not null default '[]',
  corrected   text,
  index message_of_mailbox (mailbox, removed_at, began, id),
  index message_new (mailbox, fresh, began, id),
  index message_to_transcribe (transcript, id)
);

create table message_sound (
  message_id bigint          not null,
  second     int             not null,
  -- 16 kHz, one channel, A-law
  sound      varbinary(16000) not null,
  primary key (message_id, second)
);

create table message_word (
  mailbox    varchar(20) not null,
  word       varchar(40) not null,
  message_id bigint      not null,
  primary key (mailbox, word, message_id),
  index message_words (message_id)
) collate utf8mb4_general_ci;

create table greeting (
  mailbox  varchar(20)   not null,
  occasion varchar(10)   not null,
  -- what was typed and is spoken by the machine; empty when it was spoken or uploaded
  text     varchar(1000) not null,
  samples  longblob      not null, -- 16 bits, 16 kHz, one channel
  since    datetime(6)   not null,
  until    datetime(6), -- afterwards the usual sentence again; null for good
  primary key (mailbox, occasion)
);
