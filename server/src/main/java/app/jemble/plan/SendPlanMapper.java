package app.jemble.plan;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SendPlanMapper {

  /** A plan as JSON; null when nothing was planned. */
  @Select("select plan::text from send_plan where cause_id = #{causeId}")
  String find(long causeId);

  @Insert(
      """
      insert into send_plan (cause_id, plan)
      values (#{causeId}, #{plan}::jsonb)
      on conflict (cause_id) do update set plan = excluded.plan
      """)
  int write(@Param("causeId") long causeId, @Param("plan") String plan);
}
