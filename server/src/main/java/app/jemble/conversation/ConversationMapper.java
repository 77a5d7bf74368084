package app.jemble.conversation;

import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.ResponseKind;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ConversationMapper {

  /** With whom, and about which mailing, a conversation is. */
  record Head(
      MessageId messageId,
      PersonId personId,
      String name,
      Channel channel,
      String address,
      long mailingId,
      String mailing,
      long senderId,
      boolean isPrivate) {}

  @Select(
      """
      select s.id as message_id, p.id as person_id, p.name, s.channel, s.address,
             g.id as mailing_id, g.name as mailing, g.sender_id, g.private as is_private
      from offered.message s
      join offered.person p on p.id = s.person_id
      join offered.cause g on g.id = s.cause_id
      where s.id = #{message}
      """)
  Head head(MessageId message);

  /** The first message of the thread that a message stands in. */
  @Select(
      """
      with recursive up (id, depth) as (
        select #{message}::bigint, 0
        union all
        select coalesce(
                 s.follows_id,
                 (select r.message_id
                  from answer a
                  join offered.response r on r.mail_id = a.mail_id
                  where a.id = s.cause_id
                  limit 1)),
               up.depth + 1
        from up
        join offered.message s on s.id = up.id
        where up.depth < 100
      )
      select id from up where id is not null order by depth desc limit 1
      """)
  MessageId root(MessageId message);

  /**
   * Every message of the thread that begins with one, those that answer its replies included;
   * without those of mailings that are private to another.
   */
  @Select(
      """
      with recursive down (id) as (
        select #{root}::bigint
        union
        select next.id
        from down
        cross join lateral (
          select id from offered.message where follows_id = down.id
          union all
          select s.id
          from offered.response r
          join answer a on a.mail_id = r.mail_id
          join offered.message s on s.cause_id = a.id
          where r.message_id = down.id
        ) next
      )
      select s.id
      from down
      join offered.message s on s.id = down.id
      join offered.open_cause g on g.id = s.cause_id
      where g.open_to = #{who}
      """)
  List<MessageId> thread(@Param("root") MessageId root, @Param("who") long who);

  /**
   * A message of ours, as it left.
   *
   * @param answer whether it was written by hand to one mail
   * @param receipts what the network said that became of it; null where it said nothing
   */
  record Ours(
      MessageId id,
      Channel channel,
      long mailingId,
      String mailing,
      String writer,
      String subject,
      String state,
      boolean answer,
      Instant at,
      String receipts,
      byte[] mime) {}

  @Select(
      """
      select s.id, s.channel, g.id as mailing_id, g.name as mailing, a.name as writer,
             coalesce(s.subject, w.subject) as subject, s.shown_state as state,
             g.is_answer as answer,
             coalesce(s.sent_at, s.due_at) as at,
             (select string_agg(distinct r.words, ', ')
              from offered.text_receipt r
              where r.message_id = s.id) as receipts,
             c.mime
      from offered.message s
      join offered.cause g on g.id = s.cause_id
      join offered.wording w on w.id = g.wording_id
      join offered.account a on a.id = g.sender_id
      left join offered.message_copy c on c.message_id = s.id and s.is_sent
      where s.id = any(#{messages}) and not s.is_withdrawn
      order by s.id
      """)
  List<Ours> ours(@Param("messages") MessageId[] messages);

  /**
   * A mail that came in answer to one of the messages.
   *
   * @param kind what it is; null while nobody has read it
   * @param unsure whether nobody knows yet that the person wrote it
   * @param authentication what the house's mail server says of its sender, or empty
   */
  record Theirs(
      long mailId,
      Channel channel,
      MessageId messageId,
      ResponseKind kind,
      boolean unsure,
      String sender,
      String authentication,
      String subject,
      String words,
      Instant at) {}

  @Select(
      """
      select i.id as mail_id, i.channel, r.message_id, r.kind, r.unsure, i.sender, i.authentication, i.subject,
             i.words, r.at
      from offered.response r
      join offered.inbound_mail i on i.id = r.mail_id
      where r.message_id = any(#{messages})
      union all
      select i.id, i.channel, i.about_id, null, false, i.sender, i.authentication, i.subject, i.words,
             i.received_at
      from offered.inbound_mail i
      where i.about_id = any(#{messages}) and i.placed_at is null
        and not exists (select from offered.response r where r.mail_id = i.id)
      order by mail_id, message_id
      """)
  List<Theirs> theirs(@Param("messages") MessageId[] messages);

  /** A sign that is no mail: opened, clicked, left. */
  record Sign(ResponseKind kind, Instant at, String detail) {}

  @Select(
      """
      select kind, min(at) as at, min(detail) as detail
      from offered.response
      where message_id = any(#{messages}) and mail_id is null
        and not is_by_software
      group by message_id, kind, detail
      order by at, message_id, kind, detail
      """)
  List<Sign> signs(@Param("messages") MessageId[] messages);

  /** The last mail of a person in a thread: what an answer answers. */
  record Answerable(
      long mailId,
      Channel channel,
      String identity,
      String sender,
      String subject,
      MessageId messageId,
      PersonId personId,
      long topicId,
      List<String> referenceIds,
      String token) {}

  @Select(
      """
      select i.id as mail_id, i.channel, i.identity, i.sender, i.subject, s.id as message_id, s.person_id,
             g.topic_id, s.reference_ids, s.token
      from offered.response r
      join offered.inbound_mail i on i.id = r.mail_id
      join offered.message s on s.id = r.message_id
      join offered.cause g on g.id = s.cause_id
      where i.id = #{mail}
      limit 1
      """)
  Answerable answerable(long mail);

  /** A response that a mail was taken for. */
  record Taken(long id, MessageId messageId, ResponseKind kind) {}

  @Select("select id, message_id, kind from offered.response where mail_id = #{mail} limit 1")
  Taken taken(long mail);
}
