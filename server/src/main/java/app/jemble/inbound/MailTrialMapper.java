package app.jemble.inbound;

import java.time.Instant;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface MailTrialMapper {

  /** When a trial left, and when it came back; null as long as it has not. */
  record TrialRow(long id, Instant sentAt, Instant cameAt) {}

  @Select(
      affectData = true,
      value =
          """
          insert into mail_trial (identity, asked_by, sent_at)
          values (#{identity}, #{by}, #{at})
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long begin(
      @Param("identity") String identity, @Param("by") long account, @Param("at") Instant at);

  @Select("select id, sent_at, came_at from mail_trial where id = #{id}")
  TrialRow find(long id);

  /** Answers 0 when it is no trial. */
  @Update(
      """
      update mail_trial
      set came_at = coalesce(came_at, #{at})
      where identity = #{identity}
      """)
  int came(@Param("identity") String identity, @Param("at") Instant at);
}
