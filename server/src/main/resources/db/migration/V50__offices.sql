-- Offices are words of the house, some of them in groups that are written to together.
alter table standing_word drop constraint standing_word_about_check;
alter table standing_word add constraint standing_word_about_check
  check (about in ('STATUS', 'STAGE', 'TASK', 'OFFICE'));
alter table standing_word
  -- of an office: what it is written to together with others by, such as officers; empty for none
  add column group_name text not null default '' check (group_name = btrim(group_name));
create or replace view offered.standing_word as
select about, name, counts, group_name from standing_word;

-- Whether an office is held on a day; it has no first or no last day when that is not known.
create function office_held(since date, until date, day date) returns boolean
language sql immutable as $$
  select coalesce(since <= day, true) and coalesce(until >= day, true)
$$;

-- One office was typed in more than one way; the one that most people hold stands.
update office o set name = chosen.name
from (select distinct on (lower(btrim(name))) lower(btrim(name)) as folded, btrim(name) as name
      from office
      group by 1, 2
      order by 1, count(*) desc, 2) chosen
where lower(btrim(o.name)) = chosen.folded and o.name <> chosen.name;
insert into standing_word (about, name, place)
select 'OFFICE', name, row_number() over (order by name)
from (select distinct name from office) held;

-- Filters that asked for words in an office's name ask for the offices themselves; one that nobody
-- holds is a word that is not given any more.
create function pg_temp.offices_meant(operator text, words jsonb) returns text[]
language plpgsql as $$
declare
  word text;
  found text[];
  meant text[] := '{}';
begin
  for word in select jsonb_array_elements_text(words) loop
    select array_agg(w.name) into found
    from standing_word w
    where w.about = 'OFFICE'
      and case operator
            when 'CONTAINS' then strpos(fold(w.name), fold(word)) > 0
            when 'STARTS_WITH' then strpos(fold(w.name), fold(word)) = 1
            else fold(w.name) = fold(word) end;
    if found is null then
      insert into standing_word (about, name, place, retired_at)
      select 'OFFICE', word, coalesce(max(place), 0) + 1, now()
      from standing_word where about = 'OFFICE';
      found := array[word];
    end if;
    meant := meant || found;
  end loop;
  return meant;
end
$$;

create function pg_temp.with_offices(filter jsonb, in_office boolean) returns jsonb
language plpgsql as $$
declare
  part record;
  told jsonb := filter;
begin
  if jsonb_typeof(filter) = 'array' then
    select coalesce(jsonb_agg(pg_temp.with_offices(e, in_office) order by at), '[]') into told
    from jsonb_array_elements(filter) with ordinality as x (e, at);
  elsif jsonb_typeof(filter) = 'object' then
    if in_office and filter ->> 'field' = 'name'
       and filter ->> 'operator' in ('IS', 'IS_NOT', 'CONTAINS', 'STARTS_WITH', 'ONE_OF') then
      return filter || jsonb_build_object(
        'operator', case filter ->> 'operator' when 'IS_NOT' then 'NONE_OF' else 'ANY_OF' end,
        'values', to_jsonb(pg_temp.offices_meant(filter ->> 'operator', filter -> 'values')));
    end if;
    for part in select key, value from jsonb_each(filter) loop
      told := jsonb_set(told, array[part.key], pg_temp.with_offices(
        part.value,
        case when filter ? 'where' then filter ->> 'kind' = 'OFFICE' else in_office end));
    end loop;
  end if;
  return told;
end
$$;

do $$
declare
  kept record;
begin
  for kept in
    select * from (values
      ('kept_filter', 'filter'), ('audience', 'parts'), ('audience', 'left_out_parts'),
      ('series', 'enters_parts'), ('series', 'ends_parts'), ('series_step', 'meant'),
      ('occasion', 'whom'), ('follow_rule', 'except_parts'), ('print_run', 'parts')
    ) x (told, held)
  loop
    execute format(
      'update public.%1$I set %2$I = pg_temp.with_offices(%2$I, false)
       where jsonb_path_exists(%2$I, ''$.**.kind ? (@ == "OFFICE")'')', kept.told, kept.held);
  end loop;
end
$$;
