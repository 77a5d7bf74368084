package app.jemble.account;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AccountMapper {

  @Select(
      """
      select id, login, name, email, title, upper(role) as role, person_id, phone, picture_key,
             signature
      from account
      where login = lower(btrim(#{login}))
      """)
  Account findByLogin(String login);

  @Select(
      """
      select id, login, name, email, title, upper(role) as role, person_id, phone, picture_key,
             signature
      from account
      where id = #{id}
      """)
  Account find(long id);

  @Select(
      """
      select id, login, name, email, title, upper(role) as role, person_id, phone, picture_key,
             signature
      from account
      order by name
      """)
  List<Account> all();

  @Select("select password_hash from account where login = lower(btrim(#{login}))")
  String passwordHash(String login);

  @Update(
      """
      update account
      set title = #{a.title}, phone = #{a.phone}, picture_key = #{a.pictureKey},
          signature = #{a.signature}
      where id = #{id}
      """)
  int describe(@Param("id") long id, @Param("a") AccountService.Self self);

  @Select("select count(*) from account")
  long count();

  @Insert(
      """
      insert into account (login, password_hash, name, email, title, role)
      values (#{login}, #{hash}, #{name}, #{email}, #{title}, #{role})
      """)
  int add(
      @Param("login") String login,
      @Param("hash") String passwordHash,
      @Param("name") String name,
      @Param("email") String email,
      @Param("title") String title,
      @Param("role") String role);
}
