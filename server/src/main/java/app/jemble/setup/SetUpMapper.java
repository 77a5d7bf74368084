package app.jemble.setup;

import app.jemble.core.record.PersonId;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SetUpMapper {

  @Select(
      """
      select exists (select from offered.letterhead where changed_by is not null)
          or (select count(*) from offered.letterhead) > 1
      """)
  boolean hasOwnLetterhead();

  /** Who is no colleague and not made up; counted no further than to the first. */
  @Select(
      """
      select count(*)
      from (select from offered.person p
            where p.erased_at is null
              and coalesce(p.email_key, '') not like '%@made-up.example'
              and not exists (select from offered.account a where a.person_id = p.id)
            limit 1) one
      """)
  long people();

  @Select("select count(*) from offered.account where signs_in")
  long colleagues();

  @Select(
      """
      select id from offered.person
      where email_key = any(#{addresses}::text[]) and merged_into is null
      order by id
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<PersonId> withAddresses(@Param("addresses") List<String> addresses);

  /** Until the transaction ends nobody else adds them. */
  @Select(
      "select true from (select pg_advisory_xact_lock(hashtextextended('made-up people', 0))) l")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  boolean lock();
}
