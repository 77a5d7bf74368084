package app.jemble.people;

import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.storage.Sql;
import app.jemble.storage.SqlLanguage;
import java.util.List;
import org.apache.ibatis.annotations.Lang;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.ResultMap;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.mapping.ResultSetType;
import org.apache.ibatis.session.ResultHandler;

@Mapper
interface PeopleMapper {

  /** A person and the zone they live in. */
  record InZone(PersonId id, String timeZone) {}

  @Select(
      "select id, time_zone from offered.person where id = any(#{ids}) and time_zone is not null")
  List<InZone> timeZones(@Param("ids") PersonId[] ids);

  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  @ResultMap(PersonRecordMap.NAME)
  List<PersonRecord> records(Sql question);

  /** The same, one after another, so that a hundred thousand need no more room than one. */
  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  @Options(fetchSize = 1000, resultSetType = ResultSetType.FORWARD_ONLY)
  @ResultMap(PersonRecordMap.NAME)
  void eachRecord(Sql question, ResultHandler<PersonRecord> reader);

  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  long count(Sql question);

  /** Changes with whom there is. */
  @Select("select count(*) || ' ' || coalesce(sum(id), 0) from offered.person")
  String mark();

  @Select(
      """
      select min(id)
      from offered.person
      where archived_at is null and email is not null and first_name is not null
      """)
  PersonId somebody();

  /** An address from which a letter came back, and whose it was. */
  record CameBack(PersonId personId, String address) {}

  @Select(
      """
      select distinct person_id, address
      from offered.posted
      where returned_on is not null
      """)
  List<CameBack> cameBack();

  /** Numbers on the do-not-write list. */
  @Select("select address_key from offered.do_not_write where address_key like '+%'")
  List<String> numbersNotToWrite();

  /** Those all of whose addresses on a way are on the list. */
  @Select("select person_id from offered.barred_on_way where channel = #{channel}")
  List<PersonId> barredOn(Channel channel);
}
