-- What some sign in with besides their password: the secret of a program that shows codes.
create table second_factor (
  person_id bigint        not null primary key references person (id),
  secret    varbinary(40) not null,
  since     datetime(6)   not null,
  last_step bigint        not null -- whose code was taken last
);

-- With one of these, each once, whoever has lost that program signs in.
create table recovery_code (
  person_id bigint   not null references person (id),
  hash      char(64) not null,
  primary key (person_id, hash)
);

-- With which somebody chooses a new password, once and not for long.
create table password_link (
  hash      char(64)    not null primary key,
  person_id bigint      not null references person (id),
  until_at  datetime(6) not null
);
