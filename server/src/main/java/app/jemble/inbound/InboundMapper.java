package app.jemble.inbound;

import app.jemble.core.message.MessageId;
import java.time.Instant;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface InboundMapper {

  /**
   * A mail as it is kept.
   *
   * @param identity its Message-ID, or a digest
   * @param sortedAs what software takes it for
   * @param authentication what the house's mail server says of its sender, or empty
   * @param trouble why it could not be read, or empty
   */
  record NewMail(
      String identity,
      Instant at,
      String sender,
      String subject,
      String words,
      String sortedAs,
      String authentication,
      String trouble,
      byte[] mime) {}

  /** The id of the new mail, or null when it was read before. */
  @Select(
      affectData = true,
      value =
          """
          insert into inbound_mail (identity, received_at, sender, subject, words, sorted_as,
                                    authentication, trouble, mime)
          values (#{identity}, #{at}, #{sender}, #{subject}, #{words}, #{sortedAs},
                  #{authentication}, #{trouble}, #{mime})
          on conflict (identity) do nothing
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Long add(NewMail mail);

  /** The same of a text. */
  @Select(
      affectData = true,
      value =
          """
          insert into inbound_mail (identity, received_at, sender, subject, words, sorted_as,
                                    authentication, trouble, mime, channel)
          values (#{identity}, #{at}, #{sender}, #{subject}, #{words}, #{sortedAs},
                  #{authentication}, #{trouble}, #{mime}, 'TEXT')
          on conflict (identity) do nothing
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Long addText(NewMail text);

  /** The message that a mail is about which a person still has to read. */
  @Update("update inbound_mail set about_id = #{message} where id = #{id}")
  int about(@Param("id") long id, @Param("message") MessageId message);

  /** It is known what the mail answers, or that it answers nothing; nobody where software knew. */
  @Update(
      """
      update inbound_mail
      set placed_at = #{at}, placed_by = coalesce(#{by}::bigint, placed_by)
      where id = #{id}
      """)
  int place(@Param("id") long id, @Param("at") Instant at, @Param("by") Long by);

  @Update(
      "update inbound_mail set placed_at = null, placed_by = null, about_id = null where id = #{id}")
  int unplace(long id);

  /** How far a mailbox has been read. */
  record ReadTo(long uidValidity, long lastUid) {}

  @Select("select uid_validity, last_uid from mailbox where name = #{name} for update")
  ReadTo readTo(String name);

  @Insert(
      """
      insert into mailbox (name, uid_validity, last_uid)
      values (#{name}, 0, 0)
      on conflict do nothing
      """)
  int know(String name);

  @Update(
      """
      update mailbox
      set uid_validity = #{uidValidity}, last_uid = #{lastUid}
      where name = #{name}
      """)
  int advance(
      @Param("name") String name,
      @Param("uidValidity") long uidValidity,
      @Param("lastUid") long lastUid);
}
