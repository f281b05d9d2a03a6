-- Sign-ins that have not ended. Of the cookie only a hash is kept.
create table sign_in (
  id         varchar(40)  not null primary key,
  token_hash char(64)     not null unique,
  person_id  bigint       not null references person (id),
  began      datetime(6)  not null,
  last_used  datetime(6)  not null,
  place      varchar(45)  not null,
  agent      varchar(300) not null
);

-- Browsers in which somebody has signed in before: wrong tries of others do not keep them out.
create table known_browser (
  person_id  bigint      not null references person (id),
  token_hash char(64)    not null,
  since      datetime(6) not null,
  primary key (person_id, token_hash)
);

-- Wrong passwords since the last sign-in, to be told then.
create table failed_sign_in (
  person_id    bigint      not null references person (id),
  place        varchar(45) not null,
  browser_hash char(64)    not null,
  times        int         not null,
  last         datetime(6) not null,
  primary key (person_id, place, browser_hash)
);
