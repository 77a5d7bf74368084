package app.jemble.inbound;

import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface UnplacedMapper {

  /**
   * A mail of which nobody knows yet what it answers.
   *
   * @param sortedAs what software took it for
   */
  record UnplacedMail(long id, Instant at, String from, String subject, String sortedAs) {}

  /** What is about a message is there for whoever sees its mailing. */
  String UNPLACED =
      """
      from inbound_mail i
      where i.placed_at is null
        and (i.about_id is null
             or exists (
               select from offered.message s
               join offered.open_cause g on g.id = s.cause_id and g.open_to = #{who}
               where s.id = i.about_id))
      """;

  String SELECT =
      "select i.id, i.received_at as at, i.sender as \"from\", i.subject, i.sorted_as\n" + UNPLACED;

  @Select(SELECT + " order by i.received_at desc, i.id desc limit #{most}")
  List<UnplacedMail> all(@Param("who") long who, @Param("most") int most);

  @Select(SELECT + " and i.id = #{id}")
  UnplacedMail find(@Param("who") long who, @Param("id") long id);

  @Select("select distinct sender from inbound_mail where placed_at is null")
  List<String> senders();

  @Select("select words from inbound_mail where id = #{id}")
  String words(long id);

  /** A mail as it came; MyBatis would take an array alone for rows. */
  record Octets(long id, byte[] mime) {}

  @Select("select id, mime from inbound_mail where id = #{id}")
  Octets octets(long id);

  @Select("select count(*)\n" + UNPLACED)
  long count(long who);

  /** A message that a mail may be about. */
  record PlaceCandidate(
      MessageId messageId,
      PersonId personId,
      String name,
      String address,
      String mailing,
      Instant sentAt) {}

  String CANDIDATES =
      """
      select s.id as message_id, p.id as person_id, p.name, s.address, g.name as mailing, s.sent_at
      from offered.message s
      join offered.person p on p.id = s.person_id
      join offered.open_cause g on g.id = s.cause_id
      where s.sent_at is not null and g.open_to = #{who}
      """;

  @Select(
      CANDIDATES
          + """
            and lower(s.address) = any(#{addresses})
            order by s.sent_at desc, s.id desc
            limit 10
            """)
  List<PlaceCandidate> candidates(@Param("addresses") String[] addresses, @Param("who") long who);

  /** Messages to people whose name begins so, or who have that address. */
  @Select(
      CANDIDATES
          + """
            and p.id in (
              select id from offered.person
              where starts_with(name_key, fold(#{words})) or email_key = lower(#{words})
              limit 100)
            order by s.sent_at desc, s.id desc
            limit 10
            """)
  List<PlaceCandidate> search(@Param("words") String words, @Param("who") long who);
}
