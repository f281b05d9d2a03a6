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

-- Of who did what with a recording nothing is changed, but that whom it was with may become nameless.
drop trigger recording_log_stays;
create trigger recording_log_stays before update on recording_log for each row
begin
  if not (new.other = '{"is":"Outside","number":null}' and new.recording_id = old.recording_id and new.owner = old.owner
      and new.began = old.began and new.at = old.at and new.by_person <=> old.by_person and new.deed = old.deed
      and new.about = old.about) then
    signal sqlstate '45000' set message_text = 'the log of recordings cannot be changed';
  end if;
end;
