package app.jemble.colleague;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface FirstStartMapper {

  @Insert("insert into first_start (token_hash, made_at) values (#{hash}, #{now})")
  int make(@Param("hash") byte[] tokenHash, @Param("now") Instant now);

  @Select("select count(*) from first_start where token_hash = #{hash} and made_at > #{since}")
  int good(@Param("hash") byte[] tokenHash, @Param("since") Instant since);

  /** Locks all, so that one of them alone makes somebody. */
  @Select(
      affectData = true,
      value = "select made_at from first_start order by token_hash for update")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Instant> lock();

  @Delete("delete from first_start")
  int forget();
}
