-- Who changed what, from what to what, when, from where. Each line carries a seal of all before it.
create table office_log (
  id        bigint       not null primary key,
  at        datetime(6)  not null,
  person_id bigint       null,
  name      varchar(120) not null,
  origin    varchar(64)  not null,
  kind      varchar(20)  not null,
  about     varchar(400) not null,
  what      varchar(400) not null,
  was       varchar(400) not null,
  becomes   varchar(400) not null,
  seal      char(64)     not null,
  index office_log_by_time (at)
);

-- The first line follows this one, at which whoever writes waits for whoever writes just then.
insert into office_log values
  (0, '1970-01-01', null, '', '', 'BEGINNING', '', '', '', '', repeat('0', 64));

create trigger office_log_stays before update on office_log for each row
  signal sqlstate '45000' set message_text = 'the log of the office cannot be changed';
create trigger office_log_is_kept before delete on office_log for each row
  signal sqlstate '45000' set message_text = 'the log of the office cannot be changed';
