package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageMove;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What the outbox holds of a cause, and its threads. */
@Mapper
interface OutboxMapper {

  /** Causes of which something is held, though not by hand, and nothing else is due. */
  @Select(
      """
      select g.id
      from offered.cause g
      where g.is_released and g.paused_at is null
        and exists (select from offered.message s where s.cause_id = g.id and s.is_held)
        and not exists (
          select from offered.message s
          where s.cause_id = g.id and s.to_depart and s.due_at <= #{now}
            and s.in_hands_of is null)
      """)
  List<Long> overCaps(Instant now);

  @Delete(
      """
      delete from public.message
      where cause_id = #{causeId} and state = any(#{states}) and in_hands_of is null
      """)
  int remove(@Param("causeId") long causeId, @Param("states") List<String> states);

  @Select("select count(*) from public.message where cause_id = #{causeId}")
  long count(long causeId);

  /** Moves what has not begun to be handed over. */
  @Update(
      """
      update public.message
      set state = #{move.to}, reason = #{reason}
      where cause_id = #{causeId} and state = any(#{move.from}) and in_hands_of is null
      """)
  int move(
      @Param("causeId") long causeId,
      @Param("move") MessageMove move,
      @Param("reason") String reason);

  @Select(
      """
      select s.id
      from offered.message s
      join offered.person p on p.id = s.person_id
      where s.cause_id = #{causeId} and s.channel = any(#{byHand}) and s.to_depart
        and s.cause_id <> all(array(select mailing_id from offered.mailing_release))
      order by p.last_name, p.first_name, s.id
      """)
  List<MessageId> toPrint(@Param("causeId") long causeId, @Param("byHand") List<String> byHand);

  /** Takes out what is to those who have asked since not to be written to, at all or so. */
  @Update(
      """
      update message s
      set state = #{move.to}, reason = #{reason}
      from offered.person p, offered.cause g
      where s.cause_id = #{causeId} and s.channel = any(#{byHand}) and s.state = any(#{move.from})
        and p.id = s.person_id and g.id = s.cause_id
        and (p.asked_not or exists (
          select from offered.not_on_way w
          where w.person_id = p.id and w.channel = s.channel
            and (w.topic_id is null or w.topic_id = g.topic_id)))
      """)
  int stopAsked(
      @Param("causeId") long causeId,
      @Param("byHand") List<String> byHand,
      @Param("move") MessageMove move,
      @Param("reason") String reason);

  /** Causes with letters that have not left, the newest first. */
  @Select(
      """
      select g.id
      from offered.open_cause g
      where g.open_to = #{me} and exists (
        select from offered.message s
        where s.cause_id = g.id and s.channel = any(#{byHand}) and s.to_depart)
      order by g.id desc
      limit 100
      """)
  List<Long> withLetters(@Param("me") long me, @Param("byHand") List<String> byHand);

  @Select(
      """
      select id, person_id, address, recipient, token, frozen::text as frozen
      from offered.message
      where id = any(#{messages}) and channel = any(#{byHand}) and to_depart
      """)
  List<PaperMessages.Waiting> onPaper(
      @Param("messages") MessageId[] messages, @Param("byHand") List<String> byHand);

  @Update(
      """
      update message s
      set state = #{move.to}, sent_at = #{at}, subject = n.subject
      from unnest(#{messages}::bigint[], #{subjects}::text[]) n (id, subject)
      where s.id = n.id and s.state = any(#{move.from})
      """)
  int posted(
      @Param("messages") MessageId[] messages,
      @Param("subjects") List<String> subjects,
      @Param("move") MessageMove move,
      @Param("at") Instant at);

  /** What has not left, in the order in which it was to. */
  @Select(
      """
      select s.id, p.time_zone, s.channel as way
      from offered.house_message s
      join offered.house_person p on p.id = s.person_id
      where s.cause_id = #{causeId} and s.is_open
        and s.in_hands_of is null
      order by coalesce(s.planned_at, s.due_at), s.id
      """)
  List<OutboxService.Waiting> rest(long causeId);

  /** What was put off by the mail server is not tried sooner than it would be. */
  @Update(
      """
      update public.message s
      set state = case when s.tries > 0 then #{again} else #{first} end, reason = '',
          planned_at = to_timestamp(n.due),
          due_at = case when s.tries > 0 then greatest(s.due_at, to_timestamp(n.due))
                        else to_timestamp(n.due) end
      from unnest(#{ids}::bigint[], #{dueSeconds}::bigint[]) n (id, due)
      where s.id = n.id and s.state = any(#{open}) and s.in_hands_of is null
      """)
  int replan(
      @Param("ids") MessageId[] ids,
      @Param("dueSeconds") Long[] dueSeconds,
      @Param("open") List<String> open,
      @Param("first") String first,
      @Param("again") String again);

  /** How many messages of other causes a day holds by a way, and how many are one sender's. */
  record DayTaken(LocalDate day, Channel way, long messages, long ofSender) {}

  @Select(
      """
      select (greatest(s.due_at, #{now}) at time zone #{zone})::date as day,
             s.channel as way,
             count(*) as messages, count(*) filter (where g.sender_id = #{sender}) as of_sender
      from offered.house_message s
      join offered.cause g on g.id = s.cause_id
      where s.cause_id <> #{causeId} and s.channel <> all(#{byHand})
        and (s.is_open or s.in_doubt)
      group by 1, 2
      union all
      select (s.sent_at at time zone #{zone})::date, s.channel, count(*),
             count(*) filter (where g.sender_id = #{sender})
      from offered.house_message s
      join offered.cause g on g.id = s.cause_id
      where s.is_sent and s.sent_at >= #{today} and s.channel <> all(#{byHand})
      group by 1, 2
      """)
  List<DayTaken> taken(
      @Param("causeId") long causeId,
      @Param("sender") long sender,
      @Param("zone") String zone,
      @Param("today") Instant today,
      @Param("now") Instant now,
      @Param("byHand") List<String> byHand);

  @Select(
      """
      select hour, sum(planned) as planned, sum(sent) as sent
      from (
        select date_trunc('hour', coalesce(planned_at, due_at) at time zone #{zone}) as hour,
               count(*) as planned, 0 as sent
        from offered.message
        where cause_id = #{causeId} and not is_withdrawn
        group by 1
        union all
        select date_trunc('hour', sent_at at time zone #{zone}), 0, count(*)
        from offered.message
        where cause_id = #{causeId} and is_sent
        group by 1
      ) h
      group by hour
      order by hour
      """)
  List<OutboxService.HourCount> hours(@Param("causeId") long causeId, @Param("zone") String zone);

  @Select("select max(due_at) from offered.message where cause_id = #{causeId} and to_depart")
  Instant lastDue(long causeId);

  @Select("select distinct person_id from message where sent_at >= #{since}")
  List<PersonId> writtenSince(Instant since);

  /** A message that waits, and whose it is. */
  record DueElsewhere(PersonId personId, Instant due) {}

  @Select(
      """
      select person_id, due_at as due
      from offered.message
      where is_open and cause_id <> #{causeId}
      """)
  List<DueElsewhere> dueElsewhere(long causeId);

  /** A message of a thread that another can follow. */
  record ThreadRow(
      PersonId personId,
      MessageId messageId,
      MessageId threadId,
      String token,
      List<String> referenceIds) {

    OutboxService.ThreadEnd end() {
      return new OutboxService.ThreadEnd(messageId, threadId, token, referenceIds);
    }
  }

  String THREAD =
      """
      select person_id, id as message_id, coalesce(thread_id, id) as thread_id, token, reference_ids
      from offered.message
      """;

  @Select(THREAD + "where cause_id = #{causeId} and is_sent")
  List<ThreadRow> threadEnds(long causeId);

  /** The last message of the thread that another belongs to. */
  record ThreadLast(
      MessageId of,
      PersonId personId,
      MessageId messageId,
      MessageId threadId,
      String token,
      List<String> referenceIds) {

    OutboxService.ThreadEnd end() {
      return new OutboxService.ThreadEnd(messageId, threadId, token, referenceIds);
    }
  }

  @Select(
      """
      select distinct on (s.id) s.id as of, s.person_id, t.id as message_id,
             coalesce(s.thread_id, s.id) as thread_id, t.token, t.reference_ids
      from message s
      cross join lateral (
        select id, token, reference_ids, sent_at from offered.message
        where id = coalesce(s.thread_id, s.id) and is_sent
        union all
        select id, token, reference_ids, sent_at from offered.message
        where thread_id = coalesce(s.thread_id, s.id) and is_sent
      ) t
      where s.id = any(#{messages})
      order by s.id, t.sent_at desc, t.id desc
      """)
  List<ThreadLast> lastOfThreads(@Param("messages") MessageId[] messages);

  /** A message that a cause has in the thread of another. */
  record InThread(MessageId of, MessageId messageId) {}

  @Select(
      """
      select s.id as of, m.id as message_id
      from message s
      join message m on m.cause_id = #{causeId} and m.thread_id = coalesce(s.thread_id, s.id)
      where s.id = any(#{messages})
      """)
  List<InThread> inThreads(@Param("causeId") long causeId, @Param("messages") MessageId[] messages);
}
