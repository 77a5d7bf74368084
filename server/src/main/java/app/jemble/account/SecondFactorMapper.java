package app.jemble.account;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SecondFactorMapper {

  /**
   * What a colleague's app knows.
   *
   * @param secret sealed
   * @param confirmedAt null until a first code has shown that it does
   * @param lastStep of the last code that was used
   */
  record Factor(long accountId, byte[] secret, Instant confirmedAt, long lastStep) {}

  String SELECT =
      """
      select account_id, secret, confirmed_at, last_step
      from second_factor
      where account_id = #{account}
      """;

  @Select(SELECT)
  Factor find(long account);

  /** Nobody uses a code of it until the transaction ends. */
  @Select(SELECT + "for update")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Factor findLocked(long account);

  @Insert(
      """
      insert into second_factor (account_id, secret)
      values (#{account}, #{secret})
      on conflict (account_id) do update
      set secret = excluded.secret, last_step = 0
      where second_factor.confirmed_at is null
      """)
  int begin(@Param("account") long account, @Param("secret") byte[] secret);

  @Update(
      """
      update second_factor
      set last_step = #{step}, confirmed_at = coalesce(confirmed_at, #{at})
      where account_id = #{account}
      """)
  int used(@Param("account") long account, @Param("step") long step, @Param("at") Instant at);

  @Delete("delete from second_factor where account_id = #{account}")
  int remove(long account);

  @Delete("delete from recovery_code where account_id = #{account}")
  int removeCodes(long account);

  @Insert("insert into recovery_code (account_id, code_hash) values (#{account}, #{hash})")
  int addCode(@Param("account") long account, @Param("hash") byte[] hash);

  @Select("select count(*) from recovery_code where account_id = #{account} and used_at is null")
  int codesLeft(long account);

  @Update(
      """
      update recovery_code set used_at = #{at}
      where account_id = #{account} and code_hash = #{hash} and used_at is null
      """)
  int useCode(@Param("account") long account, @Param("hash") byte[] hash, @Param("at") Instant at);

  /** Who has one. */
  @Select("select account_id from second_factor where confirmed_at is not null")
  List<Long> having();
}
