-- What the office keeps for a time only: where the log of the office was cut off, and with which seal its rest goes on.
create table office_log_cut (
  id   bigint   not null primary key,
  seal char(64) not null
);

-- Lines of both logs go when they are older than the office keeps them, and not before.
drop trigger office_log_is_kept;
create trigger office_log_is_kept before delete on office_log for each row
begin
  if old.id = 0 or not coalesce(old.at < date_sub(utc_timestamp(), interval
      (select cast(value as unsigned) from setting where name = 'log-kept-days') day), false) then
    signal sqlstate '45000' set message_text = 'the log of the office cannot be changed';
  end if;
end;

drop trigger recording_log_is_kept;
create trigger recording_log_is_kept before delete on recording_log for each row
begin
  if not coalesce(old.at < date_sub(utc_timestamp(), interval
      (select cast(value as unsigned) from setting where name = 'log-kept-days') day), false) then
    signal sqlstate '45000' set message_text = 'the log of recordings cannot be changed';
  end if;
end;
