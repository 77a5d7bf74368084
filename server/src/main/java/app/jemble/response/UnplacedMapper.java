package app.jemble.response;

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

  String SELECT =
      """
      select id, received_at as at, sender as "from", subject, sorted_as
      from inbound_mail
      where placed_at is null
      """;

  @Select(SELECT + " order by received_at desc, id desc limit #{most}")
  List<UnplacedMail> all(int most);

  @Select(SELECT + " and id = #{id}")
  UnplacedMail find(long id);

  @Select("select distinct sender from inbound_mail where placed_at is null")
  List<String> senders();

  @Select("select words from inbound_mail where id = #{id}")
  String words(long id);

  @Select("select count(*) from inbound_mail where placed_at is null")
  long count();

  /** A message that a mail may be about. */
  record PlaceCandidate(
      long messageId, long personId, String name, String address, String mailing, Instant sentAt) {}

  String CANDIDATES =
      """
      select s.id as message_id, p.id as person_id, p.name, s.address, g.name as mailing, s.sent_at
      from message s
      join person p on p.id = s.person_id
      join mailing g on g.id = s.mailing_id
      where s.sent_at is not null and (not g.private or g.sender_id = #{who})
      """;

  @Select(
      CANDIDATES
          + """
            and lower(s.address) = any(#{addresses})
            order by s.sent_at desc
            limit 10
            """)
  List<PlaceCandidate> candidates(@Param("addresses") String[] addresses, @Param("who") long who);

  /** Messages to people whose name begins so, or who have that address. */
  @Select(
      CANDIDATES
          + """
            and p.id in (
              select id from person
              where starts_with(name_key, fold(#{words})) or email_key = lower(#{words})
              limit 100)
            order by s.sent_at desc
            limit 10
            """)
  List<PlaceCandidate> found(@Param("words") String words, @Param("who") long who);
}
