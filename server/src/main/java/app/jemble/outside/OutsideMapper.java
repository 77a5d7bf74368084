package app.jemble.outside;

import app.jemble.core.house.ServiceKind;
import app.jemble.core.house.ServiceSetting.Protection;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface OutsideMapper {

  /**
   * A service as it is stored.
   *
   * @param password sealed; null for none
   */
  record ServiceRow(
      ServiceKind kind,
      String host,
      int port,
      Protection protection,
      String userName,
      byte[] password,
      String authority,
      int lines,
      int perSecond,
      String sender,
      String trustedServer,
      int version) {
    @Override
    public String toString() {
      return kind + " " + host + ":" + port + " as " + userName;
    }
  }

  @Select(
      """
      select kind, host, port, protection, user_name, password, authority, lines, per_second,
             sender, trusted_server, version
      from outside_service
      order by kind
      """)
  List<ServiceRow> all();

  /** Answers 0 when another was first. */
  @Insert(
      """
      insert into outside_service (kind, host, port, protection, user_name, password, authority,
                                   lines, per_second, sender, trusted_server)
      values (#{s.kind}, #{s.host}, #{s.port}, #{s.protection}, #{s.userName}, #{s.password},
              #{s.authority}, #{s.lines}, #{s.perSecond}, #{s.sender}, #{s.trustedServer})
      on conflict do nothing
      """)
  int add(@Param("s") ServiceRow service);

  /** Answers 0 when it is not of the version that was seen. */
  @Update(
      """
      update outside_service
      set host = #{host}, port = #{port}, protection = #{protection}, user_name = #{userName},
          password = #{password}, authority = #{authority}, lines = #{lines},
          per_second = #{perSecond}, sender = #{sender}, trusted_server = #{trustedServer},
          version = version + 1
      where kind = #{kind} and version = #{version}
      """)
  int change(ServiceRow service);
}
