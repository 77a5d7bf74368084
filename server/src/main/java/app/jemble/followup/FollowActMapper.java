package app.jemble.followup;

import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface FollowActMapper {

  /** Rules under way of which somebody's wait may be over. */
  @Select(
      """
      select f.id
      from follow_rule f
      join offered.cause g on g.id = f.mailing_id
      left join offered.cause c on c.id = f.sends_id
      where f.whom is not null and f.stopped_at is null
        and (f.look_at is null or f.look_at <= #{now})
        and g.was_released and g.paused_at is null and c.paused_at is null
        and not exists (select from offered.mailing_release r where r.mailing_id = g.id)
      order by f.mailing_id, f.place
      """)
  List<Long> toLookAt(Instant now);

  /**
   * Somebody whose wait may be over.
   *
   * @param message of the rule's mailing
   * @param recordId what it is about; 0 for no record
   * @param departedAt from when they are waited for
   */
  record Candidate(
      MessageId message, PersonId personId, String address, long recordId, Instant departedAt) {}

  /** Whose own message left by an instant, and of whom a rule has not decided yet. */
  @Select(
      """
      select s.id as message, s.person_id, s.address, s.record_id, s.sent_at as departed_at
      from offered.message s
      where s.cause_id = #{mailing} and s.is_sent and s.sent_at <= #{by}
        and not exists (
          select from follow_act a where a.rule_id = #{rule} and a.message_id = s.id)
      order by s.sent_at, s.id
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Candidate> afterTheirMessage(
      @Param("rule") long rule, @Param("mailing") long mailing, @Param("by") Instant by);

  /** For whom the rule before acted by an instant: when that message left, or when it did. */
  @Select(
      """
      select *
      from (
        select s.id as message, s.person_id, s.address, s.record_id,
               case when b.made_message is null then b.at else m.sent_at end as departed_at
        from follow_act b
        join offered.message s on s.id = b.message_id
        left join offered.message m on m.id = b.made_message
        where b.rule_id = #{before} and b.state = 'done'
          and (b.made_message is null or m.is_sent)
          and not exists (
            select from follow_act a where a.rule_id = #{rule} and a.message_id = s.id)
      ) acted
      where departed_at <= #{by}
      order by departed_at, message
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Candidate> afterRule(
      @Param("rule") long rule, @Param("before") long before, @Param("by") Instant by);

  /** Where all messages of a message's thread stand. */
  record Standings(MessageId message, List<String> standings) {}

  /**
   * Locks these messages, so that no other process decides about them, and no response to them is
   * noted, until the transaction ends. Those another has locked are not answered.
   */
  @Select(
      """
      select s.id
      from offered.message s
      where s.id = any(#{messages})
      order by s.id
      for no key update of s skip locked
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<MessageId> lock(@Param("messages") MessageId[] messages);

  /**
   * Of messages that are locked, those the rule has not decided about. It is asked after locking,
   * by a statement of its own: one that locks sees what was kept before it began, and so not what
   * another process kept while it came to the row.
   */
  @Select(
      """
      select m.id
      from unnest(#{messages}::bigint[]) as m (id)
      where not exists (
        select from follow_act a
        where a.rule_id = #{rule} and a.message_id = m.id and a.state <> 'due')
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<MessageId> undecided(@Param("rule") long rule, @Param("messages") MessageId[] messages);

  @Select(
      """
      select s.id as message,
             array(select f.standing from offered.message f where f.id = coalesce(s.thread_id, s.id)
                   union
                   select f.standing from offered.message f
                   where f.thread_id = coalesce(s.thread_id, s.id)) as standings
      from offered.message s
      where s.id = any(#{messages})
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Standings> standings(@Param("messages") MessageId[] messages);

  /** What was decided, a column each; what another has decided before stands. */
  @Insert(
      """
      insert into follow_act (rule_id, message_id, person_id, state, at, words, made_message)
      select #{rule}, s.id, s.person_id, n.state, #{at}, n.words, n.made
      from unnest(#{messages}::bigint[], #{states}::text[], #{words}::text[], #{made}::bigint[])
        as n (message, state, words, made)
      join offered.message s on s.id = n.message
      on conflict (rule_id, message_id) do update
      set state = excluded.state, at = excluded.at, words = excluded.words
      where follow_act.state = 'due'
      """)
  int decide(
      @Param("rule") long rule,
      @Param("at") Instant at,
      @Param("messages") MessageId[] messages,
      @Param("states") List<String> states,
      @Param("words") List<String> words,
      @Param("made") Long[] made);

  /** Nobody's wait is over before an instant; null leaves it open. */
  @Update("update follow_rule set look_at = #{at} where id = #{rule} and stopped_at is null")
  int lookAgain(@Param("rule") long rule, @Param("at") Instant at);

  /** Rules at whose sign somebody has responded. */
  @Select(
      """
      select distinct f.id
      from follow_act a
      join follow_rule f on f.id = a.rule_id
      where a.state = 'due' and f.stopped_at is null
      """)
  List<Long> withResponses();

  /** What was taken for a sign, and is none after all, is nothing to act on. */
  @Delete(
      """
      delete from follow_act a
      using follow_rule f, offered.message s
      where f.id = a.rule_id and s.id = a.message_id and a.rule_id = #{rule} and a.state = 'due'
        and not exists (
          select from offered.response r
          where r.kind = any(f.on_kinds)
            and r.message_id in (
              select coalesce(s.thread_id, s.id)
              union all
              select t.id from offered.message t where t.thread_id = coalesce(s.thread_id, s.id)))
      """)
  int forgetFalse(long rule);

  /**
   * Who has responded.
   *
   * @param settled what was opened or followed after this may turn out to be software's
   */
  @Select(
      """
      select a.message_id as message, a.person_id, s.address, s.record_id, a.at as departed_at
      from follow_act a
      join follow_rule f on f.id = a.rule_id
      join offered.message s on s.id = a.message_id
      where a.rule_id = #{rule} and a.state = 'due'
        and (a.at <= #{settled} or not f.on_kinds && '{OPENED,CLICKED}')
      order by a.at, a.message_id
      limit #{most}
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Candidate> responded(
      @Param("rule") long rule, @Param("settled") Instant settled, @Param("most") int most);

  /** What was to be told could not be: it is tried again. */
  @Update(
      """
      update follow_act set state = 'due', words = ''
      where rule_id = #{rule} and message_id = any(#{messages})
      """)
  int notTold(@Param("rule") long rule, @Param("messages") MessageId[] messages);

  @Select(
      "select name from offered.person where id = any(#{people}) order by name_key collate \"C\", id")
  List<String> names(@Param("people") PersonId[] people);
}
