-- Keys with which somebody signs in without a password (WebAuthn); the other half never leaves their device.
create table passkey (
  id            bigint unsigned not null auto_increment primary key,
  person_id     bigint          not null references person (id),
  user_handle   varbinary(64)   not null, -- by which their devices know them, the same in all of theirs
  credential_id varbinary(1023) not null unique,
  credential    blob            not null, -- attested credential data (WebAuthn, 6.5.1)
  sign_count    bigint          not null,
  transports    varchar(100)    not null,
  name          varchar(60)     not null,
  added         datetime(6)     not null,
  used          datetime(6)     null,
  key passkey_of (person_id)
);
