-- A sealed secret is longer than the secret.
alter table second_factor modify secret varbinary(100) not null;

-- Two hundred numbers that may not be called, or nine stock phrases, are more than a line.
alter table setting modify value varchar(12000) not null;
