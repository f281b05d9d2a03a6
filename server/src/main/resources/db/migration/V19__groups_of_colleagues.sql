-- A person's own groups of colleagues; the favourites are the group without a name.
create table colleague_group (
  person_id    bigint      not null references person (id),
  name         varchar(60) not null,
  colleague_id bigint      not null references person (id),
  primary key (person_id, name, colleague_id)
);
