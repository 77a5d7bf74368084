package app.jemble.live;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Marks that differ when something has changed; the same whichever process changed it. */
@Mapper
interface LiveMapper {

  /**
   * @param outbox what has not left, by state, and when the last message left
   * @param responses the last response
   * @param mailings how often mailings were changed, and nods asked for
   * @param tasks the last task, and how many are done
   */
  record Marks(String outbox, String responses, String mailings, String tasks) {}

  @Select(
      """
      select coalesce((select max(sent_at)::text from offered.message where sent_at is not null), '')
             || coalesce((select string_agg(state || ' ' || messages, ', ' order by state)
                          from (select state, count(*) as messages
                                from offered.message where has_not_departed group by state) s), '')
             || coalesce((select string_agg(trouble, ' ' order by channel)
                          from offered.carrier_state), '') as outbox,
             coalesce((select max(id)::text from offered.response), '') || ' '
             || coalesce((select max(id)::text from offered.inbound_mail), '') || ' '
             || (select count(*) from offered.inbound_mail where placed_at is null) as responses,
             (select count(*) || ' ' || coalesce(sum(version), 0) || ' ' || count(paused_at)
              from offered.cause)
             || ' ' || (select coalesce(sum(ends - begins), 0) from offered.mailing_release_lot)
             || ' ' || (select count(*) || ' ' || coalesce(max(asked_at)::text, '') || count(refused_at)
                        from offered.nod) as mailings,
             (select coalesce(max(id), 0) || ' ' || count(done_at) from offered.task) as tasks
      """)
  Marks marks();

  /** Which of these colleagues see their own people only. */
  @Select(
      """
      select a.id
      from offered.account a
      join offered.role r on r.id = a.role_id
      where r.own_people and a.id = any(#{colleagues})
      """)
  List<Long> seeingTheirOwn(@Param("colleagues") Long[] colleagues);

  /** Which of these colleagues may sign in no more. */
  @Select("select id from offered.account where off and id = any(#{colleagues})")
  List<Long> switchedOff(@Param("colleagues") Long[] colleagues);
}
