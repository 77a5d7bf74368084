package app.jemble.colleague;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface PasswordLinkMapper {

  /** A link that is still good. */
  record GoodLink(long accountId, Instant expiresAt) {}

  /** Takes the place of the one before. */
  @Insert(
      """
      insert into password_link (account_id, token_hash, made_at, made_by, expires_at)
      values (#{account}, #{hash}, #{now}, #{by}, #{expires})
      on conflict (account_id) do update
      set token_hash = excluded.token_hash, made_at = excluded.made_at,
          made_by = excluded.made_by, expires_at = excluded.expires_at
      """)
  int make(
      @Param("account") long accountId,
      @Param("hash") byte[] tokenHash,
      @Param("now") Instant now,
      @Param("by") long by,
      @Param("expires") Instant expires);

  @Select(
      """
      select account_id, expires_at from password_link
      where token_hash = #{hash} and expires_at > #{now}
      """)
  GoodLink find(@Param("hash") byte[] tokenHash, @Param("now") Instant now);

  /** Whoever takes it has it alone; answers whose it is, or nothing. */
  @Select(
      affectData = true,
      value =
          """
          delete from password_link
          where token_hash = #{hash} and expires_at > #{now}
          returning account_id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Long take(@Param("hash") byte[] tokenHash, @Param("now") Instant now);

  @Delete("delete from password_link where account_id = #{account}")
  int drop(@Param("account") long accountId);
}
