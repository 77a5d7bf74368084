package app.jemble.message;

import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface OwnWordingMapper {

  String SELECT =
      """
      select w.person_id, p.name as person_name, w.channel, w.subject, w.body, w.shared_subject, w.shared_body,
             w.version
      from own_wording w
      join offered.person p on p.id = w.person_id
      where w.mailing_id = #{mailingId}
      """;

  @Select(SELECT + "order by p.name_key collate \"C\", p.id, w.channel")
  List<OwnWordings.OwnWording> all(long mailingId);

  /** Nothing where somebody wrote other words than these after those that were seen. */
  @Select(
      """
      insert into own_wording (mailing_id, person_id, channel, subject, body, shared_subject,
                               shared_body, changed_at, changed_by)
      values (#{w.mailingId}, #{w.personId}, #{w.channel}, #{w.own.subject}, #{w.own.body}, #{w.shared.subject},
              #{w.shared.body}, #{at}, #{by})
      on conflict (mailing_id, person_id, channel) do update
      set subject = excluded.subject, body = excluded.body,
          shared_subject = excluded.shared_subject, shared_body = excluded.shared_body,
          changed_at = excluded.changed_at, changed_by = excluded.changed_by,
          version = own_wording.version + 1
      where own_wording.version = #{w.seen}
         or (own_wording.subject, own_wording.body) = (excluded.subject, excluded.body)
      returning version
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Optional<Integer> put(
      @Param("w") OwnWordings.Rewording words, @Param("at") Instant at, @Param("by") long by);

  @Select(
      """
      select version from own_wording
      where mailing_id = #{mailingId} and person_id = #{personId} and channel = #{channel}
      """)
  Optional<Integer> version(
      @Param("mailingId") long mailingId,
      @Param("personId") PersonId personId,
      @Param("channel") Channel channel);

  @Delete(
      """
      delete from own_wording
      where mailing_id = #{mailingId} and person_id = #{personId} and channel = #{channel}
      """)
  int drop(
      @Param("mailingId") long mailingId,
      @Param("personId") PersonId personId,
      @Param("channel") Channel channel);

  @Delete(
      """
      delete from own_wording
      where mailing_id = #{mailingId} and person_id = any (#{people}::bigint[])
      """)
  int dropOf(@Param("mailingId") long mailingId, @Param("people") PersonId[] people);

  @Delete("delete from own_wording where mailing_id = #{mailingId}")
  int dropAll(long mailingId);
}
