-- The list of people of a release is cut into lots. Whoever takes one writes its messages and
-- deletes it in one transaction; a lot whose writer dies is there again for another.
create table mailing_release_lot (
  mailing_id bigint not null references mailing_release on delete cascade,
  -- From this place of the list, counted from 0, up to and without that.
  begins     int not null,
  ends       int not null,
  primary key (mailing_id, begins)
);

insert into mailing_release_lot (mailing_id, begins, ends)
select mailing_id, written, cardinality(person_ids)
from mailing_release
where written < cardinality(person_ids);

alter table mailing_release
  drop column written,
  drop column touched_at;

-- What is held over a cap is looked for every few seconds.
create index message_held on message (mailing_id) where state = 'held';

-- How many days somebody should be left alone between two mailings; closer ones are pointed out.
alter table workspace add column rest_days int not null default 3 check (rest_days between 0 and 90);

-- Each message exactly as it left, or was last about to leave, cut out of those kept with it.
create view message_copy as
select s.id as message_id,
       substring(c.mimes from w.start + 1 for c.ends[s.copy_place] - w.start) as mime
from message s
join sent_copies c on c.id = s.copies_id
cross join lateral (select coalesce(c.ends[s.copy_place - 1], 0) as start) w;
