-- What a colleague finds who sees their own people only: every table in which something of people
-- stands, once more, cut down to those whom they own. app.jemble.pool.OwnPeople looks here first.
-- Nothing of anybody else's is written through them either. Made anew after each migration, so that
-- a table has the columns here that it has there: a change of this file comes with a migration.

create schema own;

-- Who asks, by id; nobody, and so nothing is found, where it was not said.
create function own.owner() returns bigint language sql stable as $$
  select nullif(current_setting('jemble.owner', true), '')::bigint
$$;

-- Whom they add is theirs. They may give somebody away, whom they do not find any more then.
create view own.person as
select * from public.person where owner_id = (select own.owner());
alter view own.person alter column owner_id set default own.owner();

-- Each table that says whom a row is about.
do $$
declare
  told text;
begin
  for told in
    select c.table_name
    from information_schema.columns c
    join information_schema.tables t using (table_schema, table_name)
    where c.table_schema = 'public' and c.column_name = 'person_id' and t.table_type = 'BASE TABLE'
      and c.table_name not in ('account', 'task', 'import_row', 'sign_up')
  loop
    execute format(
      'create view own.%1$I as select * from public.%1$I t
       where exists (select from own.person p where p.id = t.person_id)
       with cascaded check option', told);
  end loop;
end
$$;

-- A task about nobody is anybody's.
create view own.task as
select * from public.task t
where t.person_id is null or exists (select from own.person p where p.id = t.person_id)
with cascaded check option;

-- Somebody who has asked to be taken in and has not confirmed it is of whoever gets them.
create view own.sign_up as
select * from public.sign_up t
where exists (select from own.person p where p.id = t.person_id)
   or t.person_id is null
      and exists (select from public.sign_up_page g
                  where g.id = t.page_id and g.owner_id = (select own.owner()))
with cascaded check option;

create view own.sign_up_day as
select * from public.sign_up_day t
where exists (select from public.sign_up_page g
              where g.id = t.page_id and g.owner_id = (select own.owner()))
with cascaded check option;

-- What was brought in by a file is its bringer's, and what it says of their people theirs.
create view own.import_run as
select * from public.import_run where by_id = (select own.owner())
with cascaded check option;

create view own.import_row as
select * from public.import_row t
where exists (select from own.import_run r where r.id = t.run_id)
   or exists (select from own.person p where p.id = t.person_id)
with cascaded check option;

create view own.change_batch as
select * from public.change_batch t
where t.by_id = (select own.owner())
   or exists (select from own.change c where c.batch_id = t.id)
with cascaded check option;

create view own.series_pass as
select * from public.series_pass t
where exists (select from own.series_entry e where e.id = t.entry_id)
with cascaded check option;

create view own.series_skip as
select * from public.series_skip t
where exists (select from own.series_entry e where e.id = t.entry_id)
with cascaded check option;

-- What came in answer to a message to them.
create view own.inbound_mail as
select * from public.inbound_mail t
where exists (select from own.message m where m.id = t.about_id)
   or exists (select from own.response r where r.mail_id = t.id)
with cascaded check option;

create view own.answer as
select * from public.answer t
where exists (select from own.inbound_mail i where i.id = t.mail_id)
with cascaded check option;

create view own.text_receipt as
select * from public.text_receipt t
where exists (select from own.message m where m.id = t.message_id)
with cascaded check option;

create view own.handed_over as
select * from public.handed_over t
where exists (select from own.message m where m.id = t.message_id)
with cascaded check option;

-- Addresses of theirs, and those that they barred themselves. The list is long: theirs are looked up
-- once, not for each row of it.
create view own.do_not_write as
select * from public.do_not_write t
where t.by_id = (select own.owner())
   or t.address_key in (select p.email_key from own.person p)
   or t.address_key in (select p.phone_key from own.person p)
   or t.address_key in (select lower(d.address) from own.device d)
with cascaded check option;

create view own.written_to_again as
select * from public.written_to_again t
where t.lifted_by = (select own.owner())
   or t.address_key in (select p.email_key from own.person p)
   or t.address_key in (select p.phone_key from own.person p)
with cascaded check option;

-- Papers that they had printed, of their people alone.
create view own.print_run as
select * from public.print_run t
where t.made_by = (select own.owner())
  and not exists (select from public.print_item i
                  where i.run_id = t.id and i.person_id is not null
                    and not exists (select from own.person p where p.id = i.person_id))
with cascaded check option;

create view own.print_file as
select * from public.print_file t
where exists (select from own.print_run r where r.id = t.run_id)
with cascaded check option;

-- How far the messages of what they write are written, and the nods they asked for.
create view own.mailing_release as
select * from public.mailing_release t
where exists (select from public.cause g
              where g.id = t.mailing_id and g.sender_id = (select own.owner()))
with cascaded check option;

create view own.nod as
select * from public.nod where asked_by = (select own.owner())
with cascaded check option;

-- Numbers that are kept are those of everybody.
create view own.series_tally as
select * from public.series_tally where false;

-- What rooms offer one another, the same over what is cut down, those first on which others rest.
-- What is offered of the whole house by that name stays so.
create schema own_offered;

do $$
declare
  view record;
begin
  set local search_path = public;
  create temporary table view_to_cut on commit drop as
  with recursive rests (view, used) as (
    select r.ev_class, d.refobjid
    from pg_rewrite r
    join pg_depend d on d.classid = 'pg_rewrite'::regclass and d.objid = r.oid
                    and d.refclassid = 'pg_class'::regclass and d.refobjid <> r.ev_class
  ), placed (view, height) as (
    select c.oid, 0
    from pg_class c
    join pg_namespace n on n.oid = c.relnamespace
    where c.relkind = 'v' and n.nspname in ('public', 'offered')
    union all
    select rests.view, placed.height + 1
    from placed
    join rests on rests.used = placed.view
  )
  select case n.nspname when 'public' then 'own' else 'own_offered' end as schema, c.relname as name,
         case when c.relname like 'house\_%' then 'select * from offered.' || quote_ident(c.relname)
              else replace(pg_get_viewdef(c.oid), 'offered.', 'own_offered.') end as body,
         max(placed.height) as height
  from placed
  join pg_class c on c.oid = placed.view
  join pg_namespace n on n.oid = c.relnamespace
  where n.nspname in ('public', 'offered')
  group by c.oid, n.nspname, c.relname;

  set local search_path = own, public;
  for view in select * from view_to_cut order by height loop
    execute format('create view %I.%I as %s', view.schema, view.name, view.body);
  end loop;
end
$$;
