package app.jemble.account;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AccountMapper {

  @Select(
      """
      select id, login, name, email, title, upper(role) as role, person_id, phone, picture_key,
             signature, switched_off_at is not null as off,
             password_hash is null as invited
      from account
      where login = lower(btrim(#{login}))
      """)
  Account findByLogin(String login);

  @Select(
      """
      select id, login, name, email, title, upper(role) as role, person_id, phone, picture_key,
             signature, switched_off_at is not null as off,
             password_hash is null as invited
      from account
      where id = #{id}
      """)
  Account find(long id);

  @Select(
      """
      select id, login, name, email, title, upper(role) as role, person_id, phone, picture_key,
             signature, switched_off_at is not null as off,
             password_hash is null as invited
      from account
      order by name
      """)
  List<Account> all();

  @Select("select password_hash from account where login = lower(btrim(#{login}))")
  String passwordHash(String login);

  @Update("update account set password_hash = #{hash} where id = #{id}")
  int setPassword(@Param("id") long id, @Param("hash") String passwordHash);

  @Update(
      """
      update account
      set name = #{c.name}, email = #{c.email}, title = #{c.title}, role = lower(#{c.role})
      where id = #{id}
      """)
  int change(@Param("id") long id, @Param("c") AccountService.ColleagueDraft colleague);

  @Update("update account set switched_off_at = #{at} where id = #{id}")
  int switchOff(@Param("id") long id, @Param("at") Instant at);

  /** Locks all who may administer, so that the last of them cannot be taken away twice at once. */
  @Select(
      affectData = true,
      value =
          """
          select id from account
          where role = 'administrator' and switched_off_at is null and password_hash is not null
          order by id for update
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Long> lockAdministrators();

  @Update(
      """
      update account
      set name = #{a.name}, title = #{a.title}, phone = #{a.phone}, picture_key = #{a.pictureKey},
          signature = #{a.signature}
      where id = #{id}
      """)
  int describe(@Param("id") long id, @Param("a") AccountService.Self self);

  @Select("select count(*) from account")
  long count();

  /** Answers the id; nothing when somebody has that login. */
  @Select(
      affectData = true,
      value =
          """
          insert into account (login, password_hash, name, email, title, role)
          values (#{login}, #{hash}, #{name}, #{email}, #{title}, #{role})
          on conflict (login) do nothing
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Long add(
      @Param("login") String login,
      @Param("hash") String passwordHash,
      @Param("name") String name,
      @Param("email") String email,
      @Param("title") String title,
      @Param("role") String role);
}
