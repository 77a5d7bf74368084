package app.jemble.sending;

import app.jemble.core.reach.Channel;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SendingMapper {

  /** Hours as JSON, null for any time; caps null for none. A row of nulls alone would be none. */
  record HouseRow(String hours, Integer dailyCap, Integer mostPerMailing, int spacingDays) {}

  /** What may leave by one way a day. */
  record WayCap(Channel channel, int most) {}

  /** What somebody may send a day; null for no limit. */
  record RoleCap(String role, Integer most) {}

  record ColleagueCap(long id, String name, String role, Integer most) {}

  @Select(
      """
      select hours::text as hours, daily_cap, most_per_mailing, spacing_days
      from sending_rules
      """)
  HouseRow house();

  @Update(
      """
      update sending_rules
      set hours = #{h.hours}::jsonb, daily_cap = #{h.dailyCap},
          most_per_mailing = #{h.mostPerMailing}, spacing_days = #{h.spacingDays}
      """)
  int changeHouse(@Param("h") HouseRow house);

  @Select("select channel, most from way_cap order by channel")
  List<WayCap> wayCaps();

  @Delete("delete from way_cap")
  int forgetWayCaps();

  @Insert("insert into way_cap (channel, most) values (#{channel}, #{most})")
  int addWayCap(WayCap cap);

  @Select("select day, name from day_off order by day")
  List<DayOff> daysOff();

  @Delete("delete from day_off")
  int forgetDaysOff();

  @Insert(
      """
      insert into day_off (day, name)
      values (#{day}, #{name})
      on conflict (day) do update set name = excluded.name
      """)
  int addDayOff(DayOff day);

  @Select("select role, most from role_cap order by role")
  List<RoleCap> roleCaps();

  @Delete("delete from role_cap")
  int forgetRoleCaps();

  @Insert("insert into role_cap (role, most) values (#{role}, #{most})")
  int addRoleCap(RoleCap cap);

  @Select(
      """
      select a.id, a.name, a.role, c.most
      from offered.account a
      left join colleague_cap c on c.account_id = a.id
      order by a.name
      """)
  List<ColleagueCap> colleagueCaps();

  @Delete("delete from colleague_cap where account_id = #{id}")
  int uncapColleague(long id);

  @Insert(
      """
      insert into colleague_cap (account_id, most)
      values (#{id}, #{most})
      on conflict (account_id) do update set most = excluded.most
      """)
  int capColleague(@Param("id") long id, @Param("most") int most);

  /** Colleagues with a cap, their own or else their role's. */
  @Select(
      """
      select a.id, a.name, a.role, coalesce(c.most, r.most) as most
      from offered.account a
      left join colleague_cap c on c.account_id = a.id
      left join role_cap r on r.role = a.role
      where coalesce(c.most, r.most) is not null
      """)
  List<ColleagueCap> capsOfAll();

  /** A colleague's own cap, else the role's; null for none. */
  @Select(
      """
      select coalesce(c.most, r.most)
      from offered.account a
      left join colleague_cap c on c.account_id = a.id
      left join role_cap r on r.role = a.role
      where a.id = #{account}
      """)
  Integer capOf(long account);
}
