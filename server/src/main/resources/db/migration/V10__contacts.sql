-- Whom one knows outside the office. The card is JSON: contacts are found in memory, and read whole.
create table contact (
  id         bigint       not null auto_increment primary key,
  owner      bigint       references person (id), -- null: of the whole office
  uid        varchar(255) not null,
  card       mediumtext   not null,
  removed_at datetime(6),
  index contact_removed (removed_at)
);

create table contact_picture (
  contact_id bigint     not null primary key references contact (id),
  jpeg       mediumblob not null
);

-- Who changed what when; before is the card that was replaced or removed.
create table contact_change (
  id         bigint      not null auto_increment primary key,
  contact_id bigint      not null references contact (id),
  person_id  bigint      not null,
  at         datetime(6) not null,
  what       varchar(10) not null,
  before_it  mediumtext,
  index contact_changes (contact_id, id)
);

-- Which of several contacts with one number it was, as somebody has said of a call of theirs.
create table contact_chosen (
  call_id    varchar(40) not null,
  person_id  bigint      not null,
  contact_id bigint      not null,
  primary key (call_id, person_id)
);

-- A person's own groups of contacts; the favourites are the group without a name.
create table contact_group (
  person_id  bigint      not null references person (id),
  name       varchar(60) not null,
  contact_id bigint      not null references contact (id),
  primary key (person_id, name, contact_id)
);
