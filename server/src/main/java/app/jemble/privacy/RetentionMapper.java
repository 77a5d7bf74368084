package app.jemble.privacy;

import app.jemble.core.record.PersonId;
import app.jemble.storage.Sql;
import app.jemble.storage.SqlLanguage;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Lang;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface RetentionMapper {

  /** Months, null for good, and when what is older goes next; another version when changed. */
  record Row(
      int version,
      Integer copies,
      Integer responses,
      Integer mails,
      Integer archived,
      Instant goesAt) {}

  String SELECT =
      "select version, copies, responses, mails, archived, goes_at from retention where id = 1";

  @Select(SELECT)
  Row find();

  @Select(SELECT + " for update")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Row lock();

  @Update(
      """
      update retention
      set copies = #{r.copies}, responses = #{r.responses}, mails = #{r.mails},
          archived = #{r.archived}, goes_at = #{r.goesAt}, version = #{r.version}
      where id = 1
      """)
  int write(@Param("r") Row row);

  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long count(Sql question);

  @Lang(SqlLanguage.class)
  @Update(SqlLanguage.GIVEN)
  int run(Sql statement);

  String ARCHIVED =
      """
      from offered.person
      where archived_at < #{before} and erased_at is null and merged_into is null
      """;

  @Select("select count(*) " + ARCHIVED)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long archived(Instant before);

  @Select("select id " + ARCHIVED + " order by id limit #{most}")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<PersonId> archivedFirst(@Param("before") Instant before, @Param("most") int most);
}
