-- How the identity provider of the office calls people, so that it can say who has signed out there.
create table provider_subject (
  subject   varchar(255) character set utf8mb4 collate utf8mb4_bin not null primary key,
  person_id bigint not null references person (id),
  key subject_of (person_id)
);
