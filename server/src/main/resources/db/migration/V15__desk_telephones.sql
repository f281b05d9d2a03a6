-- Everybody in the office has a desk telephone; here is what is particular about it.
create table phone (
  owner_id   bigint      not null primary key references person (id),
  lent_to    bigint      null references person (id),
  lent_until datetime(6) null, -- null for when they leave
  until_left boolean     not null default false -- whether it is given back with their last window
);

-- By what a telephone shows that it is the one it says it is; of each only a hash is kept.
create table phone_secret (
  hash     char(64)    not null primary key,
  owner_id bigint      not null references person (id),
  made_at  datetime(6) not null,
  index secrets_of (owner_id, made_at)
);

-- What the keys with a lamp stand for, wherever their person sits: numbers as dialled, as JSON.
create table phone_keys (
  person_id bigint        not null primary key references person (id),
  numbers   varchar(1000) not null
);

-- Which device places calls, and when each begins to ring.
create table device_choice (
  person_id    bigint      not null primary key references person (id),
  places       varchar(12) not null, -- WINDOW or PHONE
  window_after int         null,     -- seconds; null for never
  phone_after  int         null
);
