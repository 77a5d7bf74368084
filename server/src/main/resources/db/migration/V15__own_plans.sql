-- The house's own plans, in the order in which they are offered.
create table plan (
  name  text primary key check (btrim(name) <> '' and length(name) <= 60),
  place int not null
);

insert into plan (name, place)
select plan, row_number() over (order by count(*) desc, plan) from membership group by plan;

alter table membership drop constraint membership_plan_check;
alter table membership
  add constraint membership_plan_fkey foreign key (plan) references plan (name) on update cascade;
