package app.jemble.request;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface OnceMapper {

  /** What is known of a request; no status while it goes on. */
  record Known(String request, Integer status, String type, byte[] body) {}

  @Select("select id from offered.account where login = #{login}")
  Long account(String login);

  /** 1 for whoever comes first. */
  @Insert(
      """
      insert into idempotent_request (account_id, key, request, begun_at)
      values (#{account}, #{key}, #{request}, #{at})
      on conflict do nothing
      """)
  int begin(
      @Param("account") long account,
      @Param("key") String key,
      @Param("request") String request,
      @Param("at") Instant at);

  @Select(
      """
      select request, status, type, body
      from idempotent_request
      where account_id = #{account} and key = #{key}
      """)
  Known find(@Param("account") long account, @Param("key") String key);

  @Update(
      """
      update idempotent_request
      set status = #{status}, type = #{type}, body = #{body}
      where account_id = #{account} and key = #{key}
      """)
  int end(
      @Param("account") long account,
      @Param("key") String key,
      @Param("status") int status,
      @Param("type") String type,
      @Param("body") byte[] body);

  @Delete("delete from idempotent_request where account_id = #{account} and key = #{key}")
  int forget(@Param("account") long account, @Param("key") String key);

  @Delete("delete from idempotent_request where begun_at < #{before}")
  int forgetBefore(Instant before);
}
