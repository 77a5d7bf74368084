package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageMove;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface OutboxListMapper {

  /** How many messages are in a state. */
  record StateCount(String state, long messages) {}

  @Select(
      """
      select case when s.channel = any(#{byHand}) and s.shown_state = 'waiting' then 'to_print'
                  else s.shown_state end as state,
             count(*) as messages
      from offered.message s
      join offered.open_cause g on g.id = s.cause_id
      where s.has_not_departed and (#{mailingId}::bigint is null or s.cause_id = #{mailingId})
        and g.open_to = #{me}
      group by 1
      order by 1
      """)
  List<StateCount> tally(
      @Param("mailingId") Long mailingId,
      @Param("me") long me,
      @Param("byHand") List<String> byHand);

  /** Whether a colleague may know of a message. */
  @Select(
      """
      select exists (
        select from message s
        join offered.open_cause g on g.id = s.cause_id and g.open_to = #{me}
        where s.id = #{id})
      """)
  boolean isOpenTo(@Param("id") MessageId id, @Param("me") long me);

  /**
   * Which messages; what is null does not matter.
   *
   * @param state as it is shown
   * @param who part of a name or of an address, in any case
   * @param afterId with {@code afterDue}, the place in their order to begin after
   */
  record Which(String state, Long mailingId, String who, Instant afterDue, Long afterId) {}

  @Select(
      """
      select s.id, p.name, p.time_zone, s.channel, s.address, s.cause_id as mailing_id, g.name as mailing,
             case when s.channel = any(#{byHand}) and s.shown_state = 'waiting' then 'to_print'
                  else s.shown_state end as state,
             s.due_at, s.tries, s.reason,
             g.held_until > #{now} and s.shown_state = #{waiting} as held
      from offered.message s
      join offered.person p on p.id = s.person_id
      join offered.open_cause g on g.id = s.cause_id
      where s.has_not_departed and g.open_to = #{me}
        and (#{w.state}::text is null
             or #{w.state} = case when s.channel = any(#{byHand}) and s.shown_state = 'waiting' then 'to_print'
                                  else s.shown_state end)
        and (#{w.mailingId}::bigint is null or s.cause_id = #{w.mailingId})
        and (#{w.who}::text is null or strpos(lower(p.name), lower(#{w.who})) > 0
             or strpos(lower(s.address), lower(#{w.who})) > 0)
        and (#{w.afterId}::bigint is null or (s.due_at, s.id) > (#{w.afterDue}, #{w.afterId}))
      order by s.due_at, s.id
      limit #{limit}
      """)
  List<OutboxController.OutboxMessage> page(
      @Param("w") Which which,
      @Param("me") long me,
      @Param("now") Instant now,
      @Param("waiting") String waiting,
      @Param("byHand") List<String> byHand,
      @Param("limit") int limit);

  /**
   * How a carrier was found when it was last tried.
   *
   * @param trouble empty when all was well
   */
  record CarrierState(String trouble, Instant since, Instant triedAt) {}

  /** Those that cannot be used, the longest first. */
  @Select(
      """
      select trouble, since, tried_at
      from carrier_state
      where trouble <> ''
      order by since, channel
      """)
  List<CarrierState> troubles();

  /** Moves one message that nobody has in hand. */
  @Update(
      """
      update message
      set state = #{move.to}, reason = #{reason}
      where id = #{id} and state = any(#{move.from}) and in_hands_of is null
      """)
  int move(
      @Param("id") MessageId id, @Param("move") MessageMove move, @Param("reason") String reason);

  @Update(
      """
      update message s
      set state = #{move.to}, due_at = greatest(#{now}::timestamptz, g.held_until), reason = ''
      from offered.cause g
      where s.id = #{id} and g.id = s.cause_id and s.state = any(#{move.from})
        and s.in_hands_of is null
      """)
  int tryAgain(
      @Param("id") MessageId id, @Param("move") MessageMove move, @Param("now") Instant now);

  @Update(
      """
      update message
      set state = #{move.to}, sent_at = coalesce(first_try_at, #{now}),
          reason = 'settled: it arrived', in_hands_of = null
      where id = #{id} and state = any(#{move.from})
      """)
  int settleAsSent(
      @Param("id") MessageId id, @Param("move") MessageMove move, @Param("now") Instant now);

  @Update(
      """
      update message
      set state = #{move.to}, due_at = #{now}, reason = '', in_hands_of = null
      where id = #{id} and state = any(#{move.from})
      """)
  int settleAsLost(
      @Param("id") MessageId id, @Param("move") MessageMove move, @Param("now") Instant now);

  /** A message that left, with its exact copy. */
  record Copy(MessageId id, String recipient, String subject, Instant sentAt, byte[] mime) {}

  @Select(
      """
      select s.id, s.recipient, s.subject, s.sent_at, c.mime
      from offered.message s
      join offered.message_copy c on c.message_id = s.id
      where s.id = #{id} and s.is_sent
      """)
  Copy copy(MessageId id);
}
