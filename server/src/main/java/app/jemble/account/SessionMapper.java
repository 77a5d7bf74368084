package app.jemble.account;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The table is Spring Session's; its times are milliseconds of the machine's clock. */
@Mapper
interface SessionMapper {

  /** A session in which a colleague is signed in; its id is not what the cookie holds. */
  record SessionRow(String id, long begunMillis, long usedMillis, boolean current) {}

  @Select(
      """
      select primary_id as id, creation_time as begun_millis, last_access_time as used_millis,
             session_id = #{current} as current
      from spring_session
      where principal_name = #{login} and expiry_time > #{nowMillis}
      order by last_access_time desc, primary_id
      limit 100
      """)
  List<SessionRow> sessions(
      @Param("login") String login,
      @Param("current") String current,
      @Param("nowMillis") long nowMillis);

  /**
   * Ends all sessions of a colleague but one.
   *
   * @param but what the cookie of the one that goes on holds; empty for none
   */
  @Delete("delete from spring_session where principal_name = #{login} and session_id <> #{but}")
  int endOthers(@Param("login") String login, @Param("but") String but);

  @Delete("delete from spring_session where principal_name = #{login} and primary_id = #{id}")
  int end(@Param("login") String login, @Param("id") String id);
}
