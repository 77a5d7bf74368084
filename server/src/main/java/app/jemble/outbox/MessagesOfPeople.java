package app.jemble.outbox;

import app.jemble.core.house.Kept;
import app.jemble.core.record.ErasedPerson;
import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.GrowsOld;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;

/** Messages go along with their people, are forgotten with them, and are not kept for ever. */
@Component
class MessagesOfPeople implements HangsOnPerson.Room, ForgetsPeople, GrowsOld {

  private static final String LEAVING =
      "A message to them is leaving this very moment; try again in a minute.";

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows(
            "MESSAGE", Sql.of("message"), Sql.of("t.id"), Sql.of("k.cause_id = t.cause_id")));
  }

  @Override
  public Sql openTo(String name, long colleague) {
    return HangsOnPerson.ofOpenCause(Sql.of("t.cause_id"), colleague);
  }

  /** That a message was sent goes on counting: nothing of what it said, or to whom, is left. */
  @Override
  public List<Sql> forget(Forgotten who) {
    Sql theirs = who.isTheirs(Sql.of("m.person_id"));
    return List.of(
        Sql.of(
            "delete from handed_over h using message m where m.id = h.message_id and %s", theirs),
        withoutCopies(theirs),
        Sql.of(
            """
            update message m
            set address = '', recipient = %s, token = 'erased-' || m.id, frozen = '{}',
                in_reply_to = null, reference_ids = '{}', subject = null, links = '{}',
                copies_id = null, copy_place = null,
                state = case when m.state in ('waiting', 'deferred', 'held', 'in_doubt')
                             then 'withdrawn' else m.state end,
                reason = case when m.state in ('waiting', 'deferred', 'held', 'in_doubt')
                              then 'The person was erased.' else %s end
            where %s""",
            Sql.param(ErasedPerson.NAME), who.without(Sql.of("m.reason")), theirs));
  }

  /** Copies of many messages are kept in one, which is written anew without theirs. */
  private static Sql withoutCopies(Sql theirs) {
    return Sql.of(
        """
        with theirs as (
          select m.copies_id, m.copy_place from message m
          where m.copies_id is not null and %s
        ), slice as (
          select c.id, e.place, t.copy_place is null as stays,
                 coalesce(c.ends[e.place - 1], 0) as begins, e.ends
          from sent_copies c
          cross join lateral unnest(c.ends) with ordinality as e (ends, place)
          left join theirs t on t.copies_id = c.id and t.copy_place = e.place
          where c.id in (select copies_id from theirs)
        ), kept as (
          select s.id, s.place,
                 case when s.stays then substring(c.mimes from s.begins + 1 for s.ends - s.begins)
                      else ''::bytea end as mime
          from slice s
          join sent_copies c on c.id = s.id
        ), anew as (
          select id, string_agg(mime, ''::bytea order by place) as mimes,
                 array_agg(ends::int order by place) as ends
          from (select id, place, mime,
                       sum(octet_length(mime)) over (partition by id order by place) as ends
                from kept) summed
          group by id
        )
        update sent_copies c set mimes = n.mimes, ends = n.ends
        from anew n
        where c.id = n.id""",
        theirs);
  }

  /** The first question waits for whoever is at them, and keeps them from being taken up. */
  @Override
  public List<Busy> busy(Forgotten who) {
    Sql theirs = who.isTheirs(Sql.of("m.person_id"));
    return List.of(
        new Busy(
            Sql.of(
                """
                select count(in_hands_of) > 0
                from (select m.in_hands_of from message m where %s for update) locked""",
                theirs),
            LEAVING),
        new Busy(
            Sql.of(
                """
                select exists (select from handover h join message m on m.id = any(h.message_ids)
                               where %s)""",
                theirs),
            LEAVING));
  }

  @Override
  public Kept kind() {
    return Kept.COPIES;
  }

  @Override
  public Sql older(Instant before) {
    return Sql.of(
        "select count(*) from message where sent_at < %s and copies_id is not null",
        Sql.param(before));
  }

  @Override
  public Sql letGo(Instant before, int most) {
    return Sql.of(
        """
        update message set copies_id = null, copy_place = null
        where id in (select id from message where sent_at < %s and copies_id is not null limit %s)""",
        Sql.param(before), Sql.param(most));
  }

  /** A piece that is being written is newer than all that messages lie in. */
  @Override
  public Sql tidy() {
    return Sql.of(
        """
        delete from sent_copies c
        where c.id < (select max(copies_id) from message)
          and not exists (select from message m where m.copies_id = c.id)""");
  }
}
