-- Entries can be removed by whose they are, and those with a message are found by themselves.
alter table history
  add column removed_at datetime(6),
  add column with_message boolean not null default false,
  add index history_with_message (person_id, with_message, began, id);
update history set with_message = true where body like '%"message":"LEFT"%';
