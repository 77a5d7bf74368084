package app.jemble.people;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.SelectProvider;

@Mapper
interface PeopleMapper {

  @SelectProvider(type = PeopleSql.class, method = "records")
  List<PersonRecord> records(PeopleQuery query);

  @Select("select person_id from topic_left where topic_id = #{topicId}")
  List<Long> whoLeft(long topicId);

  @Insert(
      """
      insert into topic_left (person_id, topic_id, left_at)
      values (#{personId}, #{topicId}, #{at})
      on conflict do nothing
      """)
  int leave(
      @Param("personId") long personId, @Param("topicId") long topicId, @Param("at") Instant at);

  @Insert(
      """
      insert into do_not_write (email_key, reason, since, note)
      values (lower(btrim(#{address})), #{reason}, #{at}, #{note})
      on conflict do nothing
      """)
  int doNotWrite(
      @Param("address") String address,
      @Param("reason") String reason,
      @Param("at") Instant at,
      @Param("note") String note);
}
