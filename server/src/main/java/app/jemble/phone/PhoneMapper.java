package app.jemble.phone;

import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import app.jemble.core.text.ReceiptState;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface PhoneMapper {

  @Insert(
      """
      insert into text_receipt (reference, state, words, at)
      values (#{reference}, #{state}, #{words}, #{at})
      on conflict do nothing
      """)
  int keepReceipt(
      @Param("reference") String reference,
      @Param("state") ReceiptState state,
      @Param("words") String words,
      @Param("at") Instant at);

  /** A receipt whose message is known. */
  record Receipt(long id, MessageId messageId, String token, ReceiptState state, String words) {}

  /** In the order in which they came. */
  @Select(
      """
      select r.id, h.message_id, s.token, r.state, r.words
      from text_receipt r
      join offered.handed_over h on h.reference = r.reference and h.channel = 'TEXT'
      join offered.message s on s.id = h.message_id
      where r.placed_at is null
      order by r.id
      limit #{most}
      """)
  List<Receipt> toPlace(int most);

  @Update("update text_receipt set message_id = #{message}, placed_at = #{at} where id = #{id}")
  int place(@Param("id") long id, @Param("message") MessageId message, @Param("at") Instant at);

  /** What nobody has said whose it is for so long is of no message of ours. */
  @Update("update text_receipt set placed_at = #{now} where placed_at is null and at < #{before}")
  int giveUp(@Param("before") Instant before, @Param("now") Instant now);

  /**
   * A part of what somebody wrote.
   *
   * @param number from 1 on
   */
  record Part(
      String sender,
      String receiver,
      int reference,
      int number,
      int parts,
      String words,
      Instant at) {}

  /** Two sessions that are given one part do not keep it both. */
  @Select("select pg_advisory_xact_lock(hashtext('text of ' || #{sender}))::text")
  String lockSender(String sender);

  /** Of a text of one part, where nothing else came from its sender since. */
  @Select(
      """
      select exists (
        select from text_arrival had
        where sender = #{p.sender} and receiver = #{p.receiver} and reference = #{p.reference}
          and number = #{p.number} and parts = #{p.parts} and words = #{p.words}
          and at > #{since}
          and (parts > 1 or not exists (
            select from text_arrival later
            where later.sender = had.sender and later.receiver = had.receiver
              and later.id > had.id)))
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  boolean hasPart(@Param("p") Part part, @Param("since") Instant since);

  @Insert(
      """
      insert into text_arrival (sender, receiver, reference, number, parts, words, at)
      values (#{sender}, #{receiver}, #{reference}, #{number}, #{parts}, #{words}, #{at})
      """)
  int keepPart(Part part);

  /**
   * What somebody wrote, of which all is there.
   *
   * @param id of its first part
   */
  record Whole(long id, Long[] ids, String sender, String words, Instant at) {}

  /** Of a part that came twice the first counts. */
  @Select(
      """
      select min(id) as id, array_agg(id) as ids, sender,
             string_agg(words, '' order by number) filter (where nth = 1) as words,
             max(at) as at
      from (
        select *, row_number() over (
                    partition by sender, receiver, reference, parts, number order by id) as nth
        from text_arrival
        where taken_at is null and parts > 1) part
      group by sender, receiver, reference, parts
      having count(distinct number) = parts
      union all
      select id, array[id], sender, words, at
      from text_arrival
      where taken_at is null and parts = 1
      order by id
      """)
  List<Whole> whole();

  /** Of a text whose other parts never came; what is there is taken. */
  @Select(
      """
      select min(id) as id, array_agg(id) as ids, sender,
             string_agg(words, ' … ' order by number) as words, max(at) as at
      from text_arrival
      where taken_at is null and parts > 1
      group by sender, receiver, reference, parts
      having max(at) < #{before}
      """)
  List<Whole> overdue(Instant before);

  @Update("update text_arrival set taken_at = #{at} where id = any(#{ids})")
  int taken(@Param("ids") Long[] ids, @Param("at") Instant at);

  /** Whose number it is; several where people share one. */
  @Select(
      "select id from offered.person where phone_key = #{number} and archived_at is null order by id")
  List<PersonId> peopleOf(String number);
}
