-- The history is found by the beginnings of words. What an entry is looked for by is the same for all
-- calls with the same party on the same line, and is kept once for all of them.
create table history_search (
  id        bigint      not null primary key,
  person_id bigint      not null,
  kind      varchar(8)  not null, -- PLACED, RECEIVED (and not missed) or MISSED
  last      datetime(6) not null, -- when the last such entry began
  words     text        not null, -- all of them, with blanks between
  index history_search_by_person (person_id, kind)
);
create table history_search_word (
  search_id bigint      not null,
  word      varchar(40) not null,
  person_id bigint      not null,
  primary key (search_id, word),
  index history_search_by_word (person_id, word, search_id)
) collate utf8mb4_general_ci;

alter table history
  add column kind varchar(8) not null default '',
  add column search_id bigint not null default 0;
update history set kind = if(missed, 'MISSED', direction);
update history
  set search_id = conv(left(sha2(concat_ws('|', person_id, kind, search), 256), 15), 16, 10);

insert into history_search (id, person_id, kind, last, words)
  select search_id, person_id, kind, max(began), '' from history group by search_id, person_id, kind;
insert ignore into history_search_word (search_id, word, person_id)
  select known.search_id, left(w.word, 40), known.person_id
  from (select distinct search_id, person_id, search from history) known,
    json_table(
      concat('[', replace(json_quote(regexp_replace(known.search, '[^[:alnum:]]+', ' ')), ' ', '","'), ']'),
      '$[*]' columns (word varchar(400) path '$')) w
  where w.word <> '';
insert ignore into history_search_word (search_id, word, person_id)
  with recursive place (n) as (select 2 union all select n + 1 from place where n < 16)
  select number.search_id, substr(number.word, n), number.person_id
  from history_search_word number join place on char_length(number.word) - n >= 2
  where number.word regexp '^[0-9]{4,18}$';
update history_search s set words = (
  select coalesce(group_concat(w.word separator ' '), '')
  from history_search_word w where w.search_id = s.id);

alter table history
  drop index history_by_other,
  drop index history_by_line,
  drop column search,
  drop column other_key,
  drop column line_group,
  drop column spoke,
  drop column missed,
  add index history_by_kind (person_id, kind, began, id),
  add index history_by_search (person_id, search_id, began, id);
alter table history
  alter column kind drop default,
  alter column search_id drop default;
