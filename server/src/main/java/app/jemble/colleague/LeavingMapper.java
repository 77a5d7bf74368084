package app.jemble.colleague;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface LeavingMapper {

  /**
   * A mailing that was let go and is not at its end.
   *
   * @param toLeave how many messages have not left
   */
  record WaitingMailing(long id, String name, long toLeave) {}

  /** What a colleague has let go of which messages wait, or whose rules are at work. */
  @Select(
      """
      select c.id, c.name, coalesce(m.to_leave, 0) as to_leave
      from offered.cause c
      left join lateral (select count(*) as to_leave from offered.message
                         where cause_id = c.id and is_open) m on true
      where c.sender_id = #{sender} and c.is_released and not c.goes_on and not c.private
        and (m.to_leave > 0
             or exists (select from offered.rule_at_work r where r.mailing_id = c.id))
      order by to_leave desc, c.id
      """)
  List<WaitingMailing> waiting(long sender);

  /** Private ones, of which nobody else knows. */
  @Select(
      """
      select c.id
      from offered.cause c
      where c.sender_id = #{sender} and c.is_released and not c.goes_on and c.private
        and exists (select from offered.message m where m.cause_id = c.id and m.is_open)
      order by c.id
      """)
  List<Long> privatelyWaiting(@Param("sender") long sender);
}
