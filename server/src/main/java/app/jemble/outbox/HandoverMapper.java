package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageMove;
import app.jemble.core.message.MessageState;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Arg;
import org.apache.ibatis.annotations.ConstructorArgs;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Messages on their way from the outbox into the hands of a carrier. */
@Mapper
interface HandoverMapper {

  /**
   * A message that may leave.
   *
   * @param copyPlace its place among copies kept before, 0 when there is none
   * @param goesOn whether its cause goes on: it is one of a series or of a standing mailing
   */
  record Claimed(
      MessageId id,
      long causeId,
      PersonId personId,
      Channel channel,
      String address,
      String recipient,
      String token,
      String frozen,
      Long followsId,
      String inReplyTo,
      List<String> referenceIds,
      int tries,
      Instant firstTryAt,
      int copyPlace,
      Instant dueAt,
      boolean goesOn) {

    Address to() {
      return Address.of(channel, address);
    }

    ThreadPlace place() {
      return new ThreadPlace(inReplyTo, referenceIds);
    }

    /** It comes after another: whether it still may is looked at to the last instant. */
    boolean comesAfter() {
      return followsId != null || goesOn;
    }

    /** It was tried before, and goes again exactly as it is kept. */
    boolean hasCopy() {
      return tries > 0 && copyPlace > 0;
    }
  }

  /**
   * Due messages after a place in their order that nobody else has in hand, locked until the
   * transaction ends. A cause waits until all its messages are written.
   */
  @ConstructorArgs({
    @Arg(column = "id", name = "id", javaType = MessageId.class),
    @Arg(column = "cause_id", name = "causeId", javaType = long.class),
    @Arg(column = "person_id", name = "personId", javaType = PersonId.class),
    @Arg(column = "channel", name = "channel", javaType = Channel.class),
    @Arg(column = "address", name = "address", javaType = String.class),
    @Arg(column = "recipient", name = "recipient", javaType = String.class),
    @Arg(column = "token", name = "token", javaType = String.class),
    @Arg(column = "frozen", name = "frozen", javaType = String.class),
    @Arg(column = "follows_id", name = "followsId", javaType = Long.class),
    @Arg(column = "in_reply_to", name = "inReplyTo", javaType = String.class),
    @Arg(column = "reference_ids", name = "referenceIds", javaType = List.class),
    @Arg(column = "tries", name = "tries", javaType = int.class),
    @Arg(column = "first_try_at", name = "firstTryAt", javaType = Instant.class),
    @Arg(column = "copy_place", name = "copyPlace", javaType = int.class),
    @Arg(column = "due_at", name = "dueAt", javaType = Instant.class),
    @Arg(column = "goes_on", name = "goesOn", javaType = boolean.class)
  })
  @Select(
      """
      select s.id, s.cause_id, s.person_id, s.channel, s.address, s.recipient, s.token,
             s.frozen::text as frozen, s.follows_id, s.in_reply_to, s.reference_ids,
             s.tries, s.first_try_at, coalesce(s.copy_place, 0) as copy_place, s.due_at,
             (select c.goes_on from offered.cause c where c.id = s.cause_id) as goes_on
      from offered.message s
      where s.to_depart and s.channel = #{channel} and s.due_at <= #{now}
        and s.in_hands_of is null
        and (s.due_at, s.id) > (#{after.due}, #{after.id})
        and s.cause_id <> all(array(select mailing_id from offered.mailing_release))
      order by s.due_at, s.id
      limit #{most}
      for update skip locked
      """)
  List<Claimed> claim(
      @Param("channel") Channel channel,
      @Param("now") Instant now,
      @Param("most") int most,
      @Param("after") DuePlace after);

  @Select(
      """
      select due_at <= #{now}
      from (
        select due_at
        from offered.message
        where to_depart and channel = #{channel} and in_hands_of is null
        order by due_at, id
        limit 1) next
      union all
      select false
      limit 1
      """)
  boolean anyDue(@Param("channel") Channel channel, @Param("now") Instant now);

  /** How a carrier was found at the last attempt; empty trouble is none. */
  @Update(
      """
      insert into carrier_state as s (channel, trouble, since, tried_at)
      values (#{channel}, #{trouble}, #{now}, #{now})
      on conflict (channel) do update
      set trouble = excluded.trouble, tried_at = excluded.tried_at,
          since = case when s.trouble = '' or excluded.trouble = '' then excluded.since
                       else s.since end
      """)
  int noteCarrier(
      @Param("channel") Channel channel,
      @Param("trouble") String trouble,
      @Param("now") Instant now);

  /** Hand-overs that begin, a column each; their copies are kept under one number. */
  record Beginnings(
      MessageId[] ids, List<String> subjects, List<String> links, long copiesId, Long[] places) {}

  /**
   * Puts messages in a worker's hands and notes what they have become; links are one text a
   * message, a line each; a place of 0 leaves the copy where it was. Touches no column of an index,
   * so that it costs little.
   */
  @Update(
      """
      update message s
      set in_hands_of = #{worker}, tries = tries + 1, first_try_at = coalesce(first_try_at, #{now}),
          subject = n.subject,
          links = case when n.links = '' then '{}' else string_to_array(n.links, chr(10)) end,
          copies_id = case when n.place > 0 then #{b.copiesId}::bigint else s.copies_id end,
          copy_place = case when n.place > 0 then n.place else s.copy_place end
      from unnest(#{b.ids}, #{b.subjects}, #{b.links}, #{b.places}) as n (id, subject, links, place)
      where s.id = n.id
      """)
  int begin(
      @Param("worker") String worker, @Param("now") Instant now, @Param("b") Beginnings begin);

  @Insert("insert into handover (worker, message_ids, until) values (#{worker}, #{ids}, #{until})")
  int take(
      @Param("worker") String worker, @Param("ids") MessageId[] ids, @Param("until") Instant until);

  @Delete("delete from handover where worker = #{worker}")
  int giveAll(String worker);

  @Select(affectData = true, value = "select nextval(pg_get_serial_sequence('sent_copies', 'id'))")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long nextCopies();

  /** Keeps messages as they will leave, one after another. */
  @Insert("insert into sent_copies (id, mimes, ends) values (#{id}, #{mimes}, #{ends})")
  int keepCopies(@Param("id") long id, @Param("mimes") byte[] mimes, @Param("ends") Long[] ends);

  /** What was kept of a message when it was about to leave before. */
  @Select("select mime from offered.message_copy where message_id = #{id}")
  Copy copy(MessageId id);

  /** The octets of a message. */
  record Copy(byte[] mime) {}

  /** Ends of hand-overs, a column each; instants in milliseconds of the epoch, or null. */
  record Ends(
      MessageId[] ids,
      Long[] tries,
      List<String> states,
      List<String> reasons,
      Long[] dueMillis,
      Long[] sentMillis) {}

  /** The worker that had them says what they have become; in doubt counts as still its own. */
  @Update(
      """
      update message s
      set state = n.state, reason = n.reason, tries = n.tries,
          due_at = coalesce(to_timestamp(n.due / 1000.0), s.due_at),
          sent_at = to_timestamp(n.sent / 1000.0),
          first_try_at = case when n.tries = 0 then null else s.first_try_at end,
          in_hands_of = null
      from unnest(#{e.ids}, #{e.tries}, #{e.states}, #{e.reasons}, #{e.dueMillis}::bigint[],
                  #{e.sentMillis}::bigint[]) as n (id, tries, state, reason, due, sent)
      where s.id = n.id and s.in_hands_of = #{worker}
      """)
  int end(@Param("worker") String worker, @Param("e") Ends ends);

  /** What the other side calls what it took over, a column each. */
  @Insert(
      """
      insert into handed_over (channel, reference, message_id)
      select s.channel, n.reference, s.id
      from unnest(#{ids}::bigint[], #{references}::text[]) as n (id, reference)
      join message s on s.id = n.id
      on conflict (channel, reference) do update set message_id = excluded.message_id
      """)
  int noteReferences(@Param("ids") MessageId[] ids, @Param("references") List<String> references);

  /** Messages that go another way than the one that has closed. */
  @Update(
      """
      update message s
      set channel = n.channel, address = n.address, reason = n.reason, copy_place = null,
          copies_id = null
      from unnest(#{ids}::bigint[], #{channels}::text[], #{addresses}::text[], #{reasons}::text[])
        as n (id, channel, address, reason)
      where s.id = n.id
      """)
  int goOtherWay(
      @Param("ids") MessageId[] ids,
      @Param("channels") List<String> channels,
      @Param("addresses") List<String> addresses,
      @Param("reasons") List<String> reasons);

  /** Messages that are due later than they were, a column each; instants in milliseconds. */
  @Update(
      """
      update message s
      set due_at = to_timestamp(n.due / 1000.0), reason = #{reason}
      from unnest(#{ids}::bigint[], #{dueMillis}::bigint[]) as n (id, due)
      where s.id = n.id
      """)
  int dueLater(
      @Param("ids") MessageId[] ids,
      @Param("dueMillis") Long[] dueMillis,
      @Param("reason") String reason);

  /** A message in a worker's hands. */
  record InHand(MessageId id, int tries, MessageState state) {}

  @Select(
      """
      select s.id, s.tries, s.state
      from handover h
      join message s on s.id = any(h.message_ids)
      where h.worker = #{worker} and s.in_hands_of = #{worker}
      """)
  List<InHand> inHand(String worker);

  /** It cannot leave, or must not any more; locked by this transaction. */
  @Update(
      "update message set state = #{move.to}, reason = #{reason} where id = #{id} and state = any(#{move.from})")
  int move(
      @Param("id") MessageId id, @Param("move") MessageMove move, @Param("reason") String reason);

  /** What was to leave by then and is not known to have; what people print stays as it is. */
  @Update(
      """
      update message
      set state = #{state}, reason = #{reason}
      where state in ('waiting', 'deferred', 'held') and due_at <= #{until}
        and channel <> all(#{byHand})
      """)
  int doubtDueUntil(
      @Param("until") Instant until,
      @Param("byHand") String[] byHand,
      @Param("state") String state,
      @Param("reason") String reason);

  /** Hand-overs whose process is gone: whether they arrived is not known. */
  @Select(
      affectData = true,
      value =
          """
          with abandoned as (
            update handover
            set doubted = true
            where until < #{now} and not doubted
            returning worker, message_ids
          ),
          doubted as (
            update message s
            set state = #{state}, reason = #{reason}
            from abandoned a
            where s.id = any(a.message_ids) and s.in_hands_of = a.worker
            returning s.id
          )
          select count(*) from doubted
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  int doubtAbandoned(
      @Param("now") Instant now, @Param("state") String state, @Param("reason") String reason);

  /** Lets one after another count, until the transaction ends. */
  @Select("select pg_advisory_xact_lock(hashtext('daily caps'))::text")
  String countAlone();

  /**
   * How many messages left since an instant, or are in somebody's hands.
   *
   * @param account of whose mailings, or 0 for all
   * @param way by which they left; null for any
   */
  @Select(
      """
      select count(*)
      from (
        select cause_id, channel from message where sent_at >= #{since}
        union all
        select s.cause_id, s.channel
        from handover h, unnest(h.message_ids) in_hand
        join message s on s.id = in_hand
        where s.in_hands_of is not null
      ) gone
      where (#{account} = 0
             or cause_id in (select id from offered.cause where sender_id = #{account}))
        and (#{way}::text is null or channel = #{way}::text)
      """)
  long departedToday(
      @Param("since") Instant since, @Param("account") long account, @Param("way") Channel way);

  /** Who sends what it is the cause of. */
  @Select("select sender_id from offered.cause where id = #{cause}")
  long sender(long cause);

  @Update(
      """
      update message s
      set state = #{state}, reason = n.reason
      from unnest(#{ids}::bigint[], #{reasons}::text[]) n (id, reason)
      where s.id = n.id
      """)
  int holdOver(
      @Param("ids") MessageId[] ids,
      @Param("reasons") String[] reasons,
      @Param("state") String state);

  /**
   * What may keep a message from leaving at this instant.
   *
   * @param asked somebody asked for it: it answers a mail of theirs
   * @param thread where each message of the thread before it stands
   */
  record Stay(
      MessageId id,
      Channel channel,
      String address,
      boolean asked,
      boolean askedNot,
      boolean leftTopic,
      boolean doNotWrite,
      boolean goesOn,
      List<String> thread) {}

  @ConstructorArgs({
    @Arg(column = "id", name = "id", javaType = MessageId.class),
    @Arg(column = "channel", name = "channel", javaType = Channel.class),
    @Arg(column = "address", name = "address", javaType = String.class),
    @Arg(column = "asked", name = "asked", javaType = boolean.class),
    @Arg(column = "asked_not", name = "askedNot", javaType = boolean.class),
    @Arg(column = "left_topic", name = "leftTopic", javaType = boolean.class),
    @Arg(column = "do_not_write", name = "doNotWrite", javaType = boolean.class),
    @Arg(column = "goes_on", name = "goesOn", javaType = boolean.class),
    @Arg(column = "thread", name = "thread", javaType = List.class)
  })
  @Select(
      """
      select s.id, s.channel,
             case when not exists (select from offered.nothing_on_way n
                                   where n.person_id = s.person_id and n.channel = s.channel)
                  then s.address end as address,
             g.is_answer as asked, g.goes_on, p.asked_not,
             exists (select from offered.not_on_way l
                     where l.person_id = s.person_id and l.channel = s.channel
                       and coalesce(l.topic_id, g.topic_id) = g.topic_id) as left_topic,
             exists (select from offered.do_not_write d
                     where d.address_key = lower(btrim(s.address)))
               or exists (select from offered.barred_on_way b
                          where b.person_id = s.person_id and b.channel = s.channel)
               as do_not_write,
             array(select f.standing from message f where f.id = s.thread_id
                   union all
                   select o.standing from message o
                   where o.thread_id = s.thread_id and o.id <> s.id) as thread
      from message s
      join offered.cause g on g.id = s.cause_id
      join offered.person p on p.id = s.person_id
      where s.id = any(#{ids})
      """)
  List<Stay> stays(@Param("ids") MessageId[] ids);
}
