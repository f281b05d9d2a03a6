-- Keys that people have made for whom they call often.
create table speed_dial (
  id        bigint      not null auto_increment primary key,
  person_id bigint      not null references person (id),
  page      int         not null,
  position  int         not null,
  label     varchar(40) not null, -- empty: the name of what it is for
  kind      varchar(10) not null,
  of        varchar(40) not null, -- identity, slot or E.164 number
  number    varchar(32) not null default '', -- which of a contact's, as it is dialled
  index speed_dials_of (person_id, page, position)
);

-- Who has taken it upon themselves to call somebody back. It counts until they are missed once more.
create table call_return (
  caller    varchar(24)  not null primary key,
  person_id bigint       not null references person (id),
  note      varchar(200) not null,
  at        datetime(6)  not null
);
