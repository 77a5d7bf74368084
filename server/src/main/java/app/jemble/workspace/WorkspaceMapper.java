package app.jemble.workspace;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface WorkspaceMapper {

  /** An attribute as it is stored. */
  record AttributeRow(
      String name, String label, String type, List<String> choices, boolean required) {}

  @Select(
      """
      select name, postal_address, zone, language, return_domain, hold_seconds, secret,
             house_email
      from workspace
      where id = 1
      """)
  Workspace find();

  /** The first workspace wins when two processes start at once. */
  @Insert(
      """
      insert into workspace (id, name, postal_address, zone, language, return_domain, hold_seconds, secret,
                             house_email)
      values (1, #{w.name}, #{w.postalAddress}, #{w.zone}, #{w.language}, #{w.returnDomain},
              #{w.holdSeconds}, #{w.secret}, #{w.houseEmail})
      on conflict (id) do nothing
      """)
  int create(@Param("w") Workspace workspace);

  @Update(
      """
      update workspace
      set name = #{name}, postal_address = #{postalAddress}, zone = #{zone},
          language = #{language}, return_domain = #{returnDomain}, hold_seconds = #{holdSeconds},
          house_email = #{houseEmail}
      where id = 1
      """)
  int change(Workspace workspace);

  @Select("select second_factor_demanded from workspace where id = 1")
  Boolean isSecondFactorDemanded();

  @Select("select key_selector from workspace where id = 1")
  String keySelector();

  @Update("update workspace set key_selector = #{selector} where id = 1")
  int nameKey(String selector);

  @Select("select unnest(set_up_later) from workspace where id = 1")
  List<String> setUpLater();

  @Update("update workspace set set_up_later = #{steps} where id = 1")
  int leaveForLater(@Param("steps") String[] steps);

  @Select("select history_months from workspace where id = 1")
  int historyMonths();

  @Update("update workspace set history_months = #{months} where id = 1")
  int keepHistory(int months);

  @Update("update workspace set second_factor_demanded = #{demanded} where id = 1")
  int demandSecondFactor(boolean demanded);

  @Select("select name from plan order by place, name")
  List<String> plans();

  @Insert(
      """
      insert into plan (name, place)
      values (#{name}, (select coalesce(max(place), 0) + 1 from plan))
      on conflict do nothing
      """)
  int addPlan(String name);

  @Select("select name, label, type, choices, required from attribute order by label")
  List<AttributeRow> attributes();

  @Insert(
      """
      insert into attribute (name, label, type, choices, required)
      values (#{a.name}, #{a.label}, #{a.type}, #{a.choices}, #{a.required})
      """)
  int addAttribute(@Param("a") AttributeRow attribute);

  @Update(
      """
      update attribute
      set label = #{a.label}, choices = #{a.choices}, required = #{a.required}
      where name = #{a.name}
      """)
  int changeAttribute(@Param("a") AttributeRow attribute);

  @Delete("delete from attribute where name = #{name}")
  int removeAttribute(String name);

  /** A topic of mailings, which people can leave. */
  record TopicRow(long id, String name) {}

  @Select("select id, name from topic order by id")
  List<TopicRow> topics();

  @Insert("insert into topic (name) values (#{name})")
  int addTopic(String name);

  @Update("update topic set name = #{name} where id = #{id}")
  int renameTopic(@Param("id") long id, @Param("name") String name);

  /** A plan, and how many have it. */
  record PlanRow(String name, long members) {}

  @Select(
      """
      select p.name, count(m.person_id) as members
      from plan p
      left join offered.membership m on m.plan = p.name
      group by p.name, p.place
      order by p.place, p.name
      """)
  List<PlanRow> planRows();

  /** Whoever has it follows. */
  @Update("update plan set name = #{to} where name = #{from}")
  int renamePlan(@Param("from") String from, @Param("to") String to);

  @Update(
      "update plan set place = array_position(#{names}::text[], name) where name = any(#{names})")
  int orderPlans(@Param("names") String[] names);

  @Delete(
      """
      delete from plan
      where name = #{name} and not exists (select from offered.membership where plan = #{name})
      """)
  int removePlan(String name);
}
