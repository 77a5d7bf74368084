package app.jemble.role;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface RoleMapper {

  @Select(
      """
      select id, name, array_to_string(rights, ' ') as rights,
             most_at_once, nod_above, most_a_day, most_mails_a_day, most_texts_a_day,
             most_notices_a_day, most_rows, own_people
      from role
      order by cardinality(rights) desc, id
      """)
  List<RoleRow> all();

  /** Locks all, so that two changes at once cannot leave the house without anybody to mend them. */
  @Select(affectData = true, value = "select id from role order by id for update")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Long> lock();

  /** Answers the id; nothing when another is called so. */
  @Select(
      affectData = true,
      value =
          """
          insert into role (name, rights, most_at_once, nod_above, most_a_day, most_mails_a_day,
                            most_texts_a_day, most_notices_a_day, most_rows,
                            own_people)
          values (#{name}, string_to_array(#{rights}, ' '),
                  #{mostAtOnce}, #{nodAbove}, #{mostADay}, #{mostMailsADay},
                  #{mostTextsADay}, #{mostNoticesADay}, #{mostRows},
                  #{ownPeople})
          on conflict (lower(name)) do nothing
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Long add(RoleRow role);

  @Update(
      """
      update role
      set name = #{name}, rights = string_to_array(#{rights}, ' '),
          most_at_once = #{mostAtOnce}, nod_above = #{nodAbove},
          most_a_day = #{mostADay}, most_mails_a_day = #{mostMailsADay},
          most_texts_a_day = #{mostTextsADay}, most_notices_a_day = #{mostNoticesADay},
          most_rows = #{mostRows}, own_people = #{ownPeople}
      where id = #{id}
      """)
  int change(RoleRow role);

  @Delete("delete from role where id = #{id}")
  int remove(long id);

  /** How many have it, those who left among them. */
  record Holders(long roleId, long colleagues) {}

  @Select("select role_id, count(*) as colleagues from offered.account group by role_id")
  List<Holders> holders();

  /** A right, and somebody who can sign in and has it. */
  record RightHolder(String held, String name) {}

  @Select(
      """
      select unnest(r.rights) as held, a.name
      from offered.account a
      join role r on r.id = a.role_id
      where a.signs_in
      order by a.name, a.id
      """)
  List<RightHolder> rightHolders();
}
