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

  /**
   * What a colleague may send a day; null for no limit.
   *
   * @param ofRole what the role may
   */
  record ColleagueCap(long id, String name, Integer ofRole, Integer most) {}

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

  @Select(
      """
      select a.id, a.name, r.most_a_day as of_role, c.most
      from offered.account a
      join offered.role r on r.id = a.role_id
      left join colleague_cap c on c.account_id = a.id
      where not a.off and 'WRITE_TO_ONE' = any(r.rights)
      order by a.name, a.id
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
      select a.id, a.name, r.most_a_day as of_role, coalesce(c.most, r.most_a_day) as most
      from offered.account a
      left join colleague_cap c on c.account_id = a.id
      join offered.role r on r.id = a.role_id
      where coalesce(c.most, r.most_a_day) is not null
      order by a.id
      """)
  List<ColleagueCap> capsOfAll();

  /** How many messages a day of one way a colleague's role lets leave. */
  record RoleWayCap(long id, String name, Channel channel, int most) {}

  @Select(
      """
      select a.id, a.name, w.channel, w.most
      from offered.account a
      join offered.role r on r.id = a.role_id
      cross join lateral (values ('EMAIL', r.most_mails_a_day), ('TEXT', r.most_texts_a_day),
                                 ('APP', r.most_notices_a_day)) w (channel, most)
      where w.most is not null and (#{account}::bigint is null or a.id = #{account})
      order by a.id, w.channel
      """)
  List<RoleWayCap> roleWayCaps(Long account);

  /** A colleague's own cap, else the role's; null for none. */
  @Select(
      """
      select coalesce(c.most, r.most_a_day)
      from offered.account a
      left join colleague_cap c on c.account_id = a.id
      join offered.role r on r.id = a.role_id
      where a.id = #{account}
      """)
  Integer capOf(long account);
}
