package app.jemble.outbox;

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
      select s.shown_state as state, count(*) as messages
      from message s
      join offered.mailing g on g.id = s.mailing_id
      where s.state <> 'sent' and (#{mailingId}::bigint is null or s.mailing_id = #{mailingId})
        and (not g.private or g.sender_id = #{me})
      group by s.shown_state
      """)
  List<StateCount> tally(@Param("mailingId") Long mailingId, @Param("me") long me);

  /** Whether a colleague may know of a message; null when there is none. */
  @Select(
      """
      select not g.private or g.sender_id = #{me}
      from message s
      join offered.mailing g on g.id = s.mailing_id
      where s.id = #{id}
      """)
  Boolean isOpenTo(@Param("id") long id, @Param("me") long me);

  @Select(
      """
      select s.id, p.name, p.time_zone, s.address, s.mailing_id, g.name as mailing,
             s.shown_state as state,
             s.due_at, s.tries, s.reason,
             g.held_until > #{now} and s.shown_state = 'waiting' as held
      from message s
      join offered.person p on p.id = s.person_id
      join offered.mailing g on g.id = s.mailing_id
      where s.state <> 'sent' and (not g.private or g.sender_id = #{me})
        and (#{state}::text is null or s.shown_state = #{state})
        and (#{mailingId}::bigint is null or s.mailing_id = #{mailingId})
        and (#{who}::text is null or strpos(lower(p.name), lower(#{who})) > 0
             or strpos(lower(s.address), lower(#{who})) > 0)
        and (#{afterId}::bigint is null or (s.due_at, s.id) > (#{afterDue}, #{afterId}))
      order by s.due_at, s.id
      limit #{limit}
      """)
  List<OutboxController.OutboxMessage> page(
      @Param("state") String state,
      @Param("mailingId") Long mailingId,
      @Param("who") String who,
      @Param("me") long me,
      @Param("afterDue") Instant afterDue,
      @Param("afterId") Long afterId,
      @Param("now") Instant now,
      @Param("limit") int limit);

  /**
   * How the mail server was found when a connection to it was last tried.
   *
   * @param trouble empty when all was well
   */
  record MailServerState(String trouble, Instant since, Instant triedAt) {}

  @Select("select trouble, since, tried_at from mail_server")
  MailServerState mailServer();

  @Update(
      """
      update message
      set state = 'withdrawn', reason = #{reason}
      where id = #{id} and state in ('waiting', 'deferred', 'held', 'refused')
        and in_hands_of is null
      """)
  int withdraw(@Param("id") long id, @Param("reason") String reason);

  @Update(
      """
      update message s
      set state = 'waiting', due_at = greatest(#{now}::timestamptz, g.held_until), reason = ''
      from offered.mailing g
      where s.id = #{id} and g.id = s.mailing_id
        and s.state in ('waiting', 'deferred', 'refused', 'held', 'withdrawn')
        and s.in_hands_of is null
      """)
  int tryAgain(@Param("id") long id, @Param("now") Instant now);

  @Update(
      """
      update message
      set state = 'sent', sent_at = coalesce(first_try_at, #{now}), reason = 'settled: it arrived',
          in_hands_of = null
      where id = #{id} and state = 'in_doubt'
      """)
  int settleAsSent(@Param("id") long id, @Param("now") Instant now);

  @Update(
      """
      update message
      set state = 'waiting', due_at = #{now}, reason = '', in_hands_of = null
      where id = #{id} and state = 'in_doubt'
      """)
  int settleAsLost(@Param("id") long id, @Param("now") Instant now);

  /** A message that left, with its exact copy. */
  record Copy(long id, String recipient, String subject, Instant sentAt, byte[] mime) {}

  @Select(
      """
      select s.id, s.recipient, s.subject, s.sent_at, c.mime
      from message s
      join offered.message_copy c on c.message_id = s.id
      where s.id = #{id} and s.state = 'sent'
      """)
  Copy copy(long id);
}
