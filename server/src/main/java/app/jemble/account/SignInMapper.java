package app.jemble.account;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SignInMapper {

  @Select("select max(wait_until) from sign_in_failure where who = any(#{who})")
  Instant waitUntil(@Param("who") List<String> who);

  /** Counts one more, after a long while from one again; answers how many there are. */
  @Select(
      affectData = true,
      value =
          """
          insert into sign_in_failure as f (who, failures, last_at, wait_until)
          values (#{who}, 1, #{now}, #{now})
          on conflict (who) do update
          set failures = case when f.last_at < #{forgotten} then 1 else f.failures + 1 end,
              last_at = #{now}
          returning failures
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  int failed(
      @Param("who") String who, @Param("now") Instant now, @Param("forgotten") Instant forgotten);

  @Update(
      "update sign_in_failure set wait_until = greatest(wait_until, #{until}) where who = #{who}")
  int letWait(@Param("who") String who, @Param("until") Instant until);

  @Delete("delete from sign_in_failure where who = #{who}")
  int forget(String who);

  @Delete("delete from sign_in_failure where last_at < #{before}")
  int forgetBefore(Instant before);
}
