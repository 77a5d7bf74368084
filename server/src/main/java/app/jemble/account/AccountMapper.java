package app.jemble.account;

import app.jemble.core.record.PersonId;
import app.jemble.role.RoleRow;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AccountMapper {

  String SELECT =
      """
      select a.id, a.login, a.name, a.email, a.title, a.person_id, a.phone, a.picture_key,
             a.signature, a.language, a.switched_off_at is not null as off,
             a.password_hash is null as invited,
             r.id as role_id, r.name as role_name, array_to_string(r.rights, ' ') as rights,
             r.most_at_once, r.nod_above, r.most_a_day, r.most_mails_a_day, r.most_texts_a_day,
             r.most_notices_a_day, r.most_rows, r.own_people
      from account a
      join offered.role r on r.id = a.role_id
      """;

  /** A colleague and their role as they are kept. */
  record AccountRow(
      long id,
      String login,
      String name,
      String email,
      String title,
      PersonId personId,
      String phone,
      String pictureKey,
      String signature,
      String language,
      boolean off,
      boolean invited,
      long roleId,
      String roleName,
      String rights,
      Integer mostAtOnce,
      Integer nodAbove,
      Integer mostADay,
      Integer mostMailsADay,
      Integer mostTextsADay,
      Integer mostNoticesADay,
      Integer mostRows,
      boolean ownPeople) {

    Account account() {
      RoleRow role =
          new RoleRow(
              roleId,
              roleName,
              rights,
              mostAtOnce,
              nodAbove,
              mostADay,
              mostMailsADay,
              mostTextsADay,
              mostNoticesADay,
              mostRows,
              ownPeople);
      return new Account(
          id,
          login,
          name,
          email,
          title,
          role.role(),
          personId,
          phone,
          pictureKey,
          signature,
          language,
          off,
          invited);
    }
  }

  @Select(SELECT + "where a.login = lower(btrim(#{login}))")
  AccountRow findByLogin(String login);

  @Select(SELECT + "where a.id = #{id}")
  AccountRow find(long id);

  @Select(SELECT + "order by a.name, a.id")
  List<AccountRow> all();

  @Select("select password_hash from account where login = lower(btrim(#{login}))")
  String passwordHash(String login);

  @Update("update account set password_hash = #{hash} where id = #{id}")
  int setPassword(@Param("id") long id, @Param("hash") String passwordHash);

  @Update(
      """
      update account
      set name = #{c.name}, email = #{c.email}, title = #{c.title}, role_id = #{c.roleId},
          language = #{c.language}
      where id = #{id}
      """)
  int change(@Param("id") long id, @Param("c") AccountService.ColleagueDraft colleague);

  @Update("update account set switched_off_at = #{at} where id = #{id}")
  int switchOff(@Param("id") long id, @Param("at") Instant at);

  /** Locks all who look after colleagues, so that the last two cannot be taken away at once. */
  @Select(
      affectData = true,
      value =
          """
          select a.id
          from account a
          join offered.role r on r.id = a.role_id
          where #{right} = any(r.rights)
            and a.switched_off_at is null and a.password_hash is not null
          order by a.id for update
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Long> lockWhoHas(@Param("right") String right);

  @Update(
      """
      update account
      set name = #{a.name}, title = #{a.title}, phone = #{a.phone}, picture_key = #{a.pictureKey},
          signature = #{a.signature}, language = #{a.language}
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
          insert into account (login, password_hash, name, email, title, role_id, language)
          values (#{login}, #{hash}, #{c.name}, #{c.email}, #{c.title}, #{c.roleId}, #{c.language})
          on conflict (login) do nothing
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Long add(
      @Param("login") String login,
      @Param("hash") String passwordHash,
      @Param("c") AccountService.ColleagueDraft colleague);
}
