-- What each service lets through a day stands by the way it carries: mail, texts, notices.
create table way_cap (
  channel text primary key,
  most    int not null check (most >= 0)
);

insert into way_cap (channel, most)
select 'EMAIL', service_cap from sending_rules where service_cap is not null;

alter table sending_rules drop column service_cap;
