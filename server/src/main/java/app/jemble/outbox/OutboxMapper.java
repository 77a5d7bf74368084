package app.jemble.outbox;

import app.jemble.core.response.Standing;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface OutboxMapper {

  /** Rows of new messages, a column each. */
  record Columns(
      Long[] personIds,
      List<String> addresses,
      List<String> recipients,
      List<String> tokens,
      List<String> frozen,
      Long[] followsIds,
      List<String> inReplyTo,
      List<String> references,
      Long[] recordIds,
      Long[] dueSeconds) {}

  @Insert(
      """
      insert into message (mailing_id, person_id, address, recipient, token, frozen, follows_id,
                           in_reply_to, reference_ids, record_id, due_at, planned_at)
      select #{mailingId}, n.person_id, n.address, n.recipient, n.token, n.frozen::jsonb,
             n.follows_id, nullif(n.in_reply_to, ''),
             array_remove(string_to_array(n.reference_ids, ' '), ''), n.record_id,
             to_timestamp(n.due), to_timestamp(n.due)
      from unnest(#{c.personIds}, #{c.addresses}, #{c.recipients}, #{c.tokens}, #{c.frozen},
                  #{c.followsIds}, #{c.inReplyTo}, #{c.references}, #{c.recordIds}, #{c.dueSeconds})
        as n (person_id, address, recipient, token, frozen, follows_id, in_reply_to, reference_ids,
              record_id, due)
      """)
  int add(@Param("mailingId") long mailingId, @Param("c") Columns columns);

  /** A message a worker has claimed. */
  record Claimed(
      long id,
      long mailingId,
      long personId,
      String address,
      String recipient,
      String token,
      String frozen,
      Long followsId,
      String inReplyTo,
      List<String> referenceIds,
      int tries,
      Instant firstTryAt) {}

  @Select(
      affectData = true,
      value =
          """
          with due as (
            select id
            from message
            where state in ('waiting', 'deferred') and due_at <= #{now}
              and (claimed_until is null or claimed_until < #{now})
            order by due_at, id
            limit #{batch}
            for update skip locked
          )
          update message s
          set claimed_by = #{worker}, claimed_until = #{until}
          from due
          where s.id = due.id
          returning s.id, s.mailing_id, s.person_id, s.address, s.recipient, s.token,
                    s.frozen::text as frozen, s.follows_id, s.in_reply_to, s.reference_ids,
                    s.tries, s.first_try_at
          """)
  List<Claimed> claim(
      @Param("worker") String worker,
      @Param("now") Instant now,
      @Param("until") Instant until,
      @Param("batch") int batch);

  /** Notes what claimed messages have become; links are one text a message, a line each. */
  @Update(
      """
      update message s
      set subject = n.subject,
          links = case when n.links = '' then '{}' else string_to_array(n.links, chr(10)) end
      from unnest(#{ids}, #{subjects}, #{links}) as n (id, subject, links)
      where s.id = n.id
      """)
  int write(
      @Param("ids") Long[] ids,
      @Param("subjects") List<String> subjects,
      @Param("links") List<String> links);

  @Insert(
      """
      insert into message_copy (message_id, mime)
      select * from unnest(#{ids}, #{mimes})
      on conflict (message_id) do update set mime = excluded.mime
      """)
  int keepCopies(@Param("ids") Long[] ids, @Param("mimes") byte[][] mimes);

  /**
   * How a hand-over ended.
   *
   * @param id null when there is none to note
   * @param due when it is tried again, or null
   */
  record Ended(Long id, String state, String reason, Instant due, Instant sentAt) {
    static final Ended NONE = new Ended(null, null, null, null, null);
  }

  /**
   * Notes how the hand-over before ended and, in the same instant, that the next one begins;
   * durable before the mail server sees it. Answers 0 when that one is no longer this worker's, or
   * follows a message whose standing stops it.
   */
  @Select(
      affectData = true,
      value =
          """
          with ended as (
            update message
            set state = #{ended.state}, reason = #{ended.reason},
                due_at = coalesce(#{ended.due}, due_at), sent_at = #{ended.sentAt},
                claimed_by = null, claimed_until = null
            where id = #{ended.id}::bigint and claimed_by = #{worker}
              and state in ('sending', 'in_doubt')
          ),
          begun as (
            update message s
            set state = 'sending', tries = tries + 1, first_try_at = coalesce(first_try_at, #{now}),
                claimed_until = #{until}
            where s.id = #{next} and s.claimed_by = #{worker} and s.state in ('waiting', 'deferred')
              and not exists (
                select from message f where f.id = s.follows_id and f.standing = any(#{stopping}))
            returning s.id
          )
          select count(*) from begun
          """)
  int step(
      @Param("worker") String worker,
      @Param("ended") Ended ended,
      @Param("next") long next,
      @Param("now") Instant now,
      @Param("until") Instant until,
      @Param("stopping") List<String> stopping);

  /** The process that began it says how it ended; in doubt counts as still its own. */
  @Update(
      """
      update message
      set state = #{ended.state}, reason = #{ended.reason},
          due_at = coalesce(#{ended.due}, due_at), sent_at = #{ended.sentAt},
          claimed_by = null, claimed_until = null
      where id = #{ended.id} and claimed_by = #{worker} and state in ('sending', 'in_doubt')
      """)
  int end(@Param("worker") String worker, @Param("ended") Ended ended);

  /** The hand-over never began at the mail server's end: as if it had not been tried. */
  @Update(
      """
      update message
      set state = case when tries > 1 then 'deferred' else 'waiting' end, tries = tries - 1,
          reason = #{reason}, due_at = #{due}, claimed_by = null, claimed_until = null
      where id = #{id} and claimed_by = #{worker} and state = 'sending'
      """)
  int giveBack(
      @Param("id") long id,
      @Param("worker") String worker,
      @Param("reason") String reason,
      @Param("due") Instant due);

  @Update(
      """
      update message
      set state = 'withdrawn', reason = #{reason}, claimed_by = null, claimed_until = null
      where id = #{id} and claimed_by = #{worker} and state in ('waiting', 'deferred')
      """)
  int stop(@Param("id") long id, @Param("worker") String worker, @Param("reason") String reason);

  @Update(
      """
      update message
      set claimed_by = null, claimed_until = null
      where claimed_by = #{worker} and state in ('waiting', 'deferred')
      """)
  int letGo(String worker);

  @Update(
      """
      update message
      set claimed_by = null, claimed_until = null
      where id = #{id} and claimed_by = #{worker} and state in ('waiting', 'deferred')
      """)
  int letGoOne(@Param("id") long id, @Param("worker") String worker);

  /** Hand-overs whose process is gone: whether they arrived is not known. */
  @Update(
      """
      update message
      set state = 'in_doubt', reason = 'the process stopped while the message was being handed over'
      where state = 'sending' and claimed_until < #{now}
      """)
  int doubtAbandoned(Instant now);

  /** Where a message stands. */
  record StandingRow(long id, Standing standing) {}

  @Select("select id, standing from message where id = any(#{ids})")
  List<StandingRow> standings(@Param("ids") Long[] ids);

  @Delete("delete from message where mailing_id = #{mailingId} and state in ('waiting', 'held')")
  int removeWaiting(long mailingId);

  @Select("select count(*) from message where mailing_id = #{mailingId}")
  long count(long mailingId);

  @Update(
      """
      update message
      set state = 'withdrawn', reason = 'withdrawn by hand', claimed_by = null, claimed_until = null
      where mailing_id = #{mailingId} and state in ('waiting', 'deferred', 'held')
      """)
  int withdrawRest(long mailingId);

  /** What is held back by hand; a hand-over that has begun is not. */
  @Update(
      """
      update message
      set state = 'held', reason = #{reason}, claimed_by = null, claimed_until = null
      where mailing_id = #{mailingId} and state in ('waiting', 'deferred')
      """)
  int hold(@Param("mailingId") long mailingId, @Param("reason") String reason);

  /** What has not left, in the order in which it was to. */
  @Select(
      """
      select s.id, p.time_zone
      from message s
      join person p on p.id = s.person_id
      where s.mailing_id = #{mailingId} and s.state in ('waiting', 'deferred', 'held')
      order by coalesce(s.planned_at, s.due_at), s.id
      """)
  List<OutboxService.Waiting> rest(long mailingId);

  /** What was put off by the mail server is not tried sooner than it would be. */
  @Update(
      """
      update message s
      set state = case when s.tries > 0 then 'deferred' else 'waiting' end, reason = '',
          planned_at = to_timestamp(n.due),
          due_at = case when s.tries > 0 then greatest(s.due_at, to_timestamp(n.due))
                        else to_timestamp(n.due) end,
          claimed_by = null, claimed_until = null
      from unnest(#{ids}::bigint[], #{dueSeconds}::bigint[]) n (id, due)
      where s.id = n.id and s.state in ('waiting', 'deferred', 'held')
      """)
  int replan(@Param("ids") Long[] ids, @Param("dueSeconds") Long[] dueSeconds);

  /** How many messages of other mailings a day holds, and how many of those of one sender. */
  record DayTaken(LocalDate day, long messages, long ofSender) {}

  @Select(
      """
      select (s.due_at at time zone #{zone})::date as day,
             count(*) as messages, count(*) filter (where g.sender_id = #{sender}) as of_sender
      from message s
      join mailing g on g.id = s.mailing_id
      where s.mailing_id <> #{mailingId}
        and s.state in ('waiting', 'deferred', 'sending', 'held', 'in_doubt')
      group by 1
      union all
      select (s.sent_at at time zone #{zone})::date, count(*),
             count(*) filter (where g.sender_id = #{sender})
      from message s
      join mailing g on g.id = s.mailing_id
      where s.state = 'sent' and s.sent_at >= #{today}
      group by 1
      """)
  List<DayTaken> taken(
      @Param("mailingId") long mailingId,
      @Param("sender") long sender,
      @Param("zone") String zone,
      @Param("today") Instant today);

  @Select(
      """
      select hour, sum(planned) as planned, sum(sent) as sent
      from (
        select date_trunc('hour', coalesce(planned_at, due_at) at time zone #{zone}) as hour,
               count(*) as planned, 0 as sent
        from message
        where mailing_id = #{mailingId} and state <> 'withdrawn'
        group by 1
        union all
        select date_trunc('hour', sent_at at time zone #{zone}), 0, count(*)
        from message
        where mailing_id = #{mailingId} and state = 'sent'
        group by 1
      ) h
      group by hour
      order by hour
      """)
  List<OutboxService.HourCount> hours(
      @Param("mailingId") long mailingId, @Param("zone") String zone);

  @Select(
      "select max(due_at) from message where mailing_id = #{mailingId} and state in ('waiting', 'deferred')")
  Instant lastDue(long mailingId);

  @Select("select distinct person_id from message where sent_at >= #{since}")
  List<Long> writtenSince(Instant since);

  @Select(
      """
      select distinct person_id
      from message
      where state in ('waiting', 'deferred', 'sending', 'held') and mailing_id <> #{mailingId}
      """)
  List<Long> waitingElsewhere(long mailingId);

  /** The end of the thread with each person of a mailing. */
  record ThreadRow(long personId, long messageId, String token, List<String> referenceIds) {}

  @Select(
      """
      select person_id, id as message_id, token, reference_ids
      from message
      where mailing_id = #{mailingId} and state = 'sent'
      """)
  List<ThreadRow> threadEnds(long mailingId);
}
