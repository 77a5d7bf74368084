package app.jemble.workspace;

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
interface WorkspaceMapper {

  /** An attribute as it is stored. */
  record AttributeRow(
      String name, String label, String type, List<String> choices, boolean required) {}

  @Select(
      """
      select name, postal_address, zone, language, return_domain, hold_seconds, secret,
             house_email, currency as own_currency, day_order as own_day_order,
             week_start as own_week_start
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
          house_email = #{houseEmail}, currency = #{ownCurrency}, day_order = #{ownDayOrder},
          week_start = #{ownWeekStart}
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

  /** Those that are still given first. */
  @Select("select name from plan order by retired_at is not null, place, name")
  List<String> plans();

  @Select("select name from plan where retired_at is not null order by name")
  List<String> retiredPlans();

  @Update("update plan set retired_at = #{at}::timestamptz where name = #{name}")
  int retirePlan(@Param("name") String name, @Param("at") Instant at);

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
  record TopicRow(long id, String name, boolean isRetired) {}

  /** Those that are still given first. */
  @Select(
      """
      select id, name, retired_at is not null as is_retired from topic
      order by retired_at is not null, id
      """)
  List<TopicRow> topics();

  /** Whoever gives one up does so one after another. */
  @Select("select id from topic order by id for update")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Long> lockTopics();

  @Update("update topic set retired_at = #{at}::timestamptz where id = #{id}")
  int retireTopic(@Param("id") long id, @Param("at") Instant at);

  @Insert("insert into topic (name) values (#{name})")
  int addTopic(String name);

  @Update("update topic set name = #{name} where id = #{id}")
  int renameTopic(@Param("id") long id, @Param("name") String name);

  /** A plan, and how many have it. */
  record PlanRow(String name, long members, boolean isRetired) {}

  @Select(
      """
      select p.name, count(m.person_id) as members, p.retired_at is not null as is_retired
      from plan p
      left join offered.membership m on m.plan = p.name
      group by p.name, p.place, p.retired_at
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
