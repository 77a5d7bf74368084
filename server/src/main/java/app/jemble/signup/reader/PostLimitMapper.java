package app.jemble.signup.reader;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface PostLimitMapper {

  /** Counts one more; answers how many there are now. */
  @Select(
      affectData = true,
      value =
          """
          insert into sign_up_post (origin, minute, posts)
          values (#{origin}, #{minute}, 1)
          on conflict (origin, minute) do update set posts = sign_up_post.posts + 1
          returning posts
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  int count(@Param("origin") String origin, @Param("minute") Instant minute);

  @Delete("delete from sign_up_post where minute < #{before}")
  int forget(Instant before);
}
