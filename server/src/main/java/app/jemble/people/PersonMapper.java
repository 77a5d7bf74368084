package app.jemble.people;

import app.jemble.core.record.PersonId;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface PersonMapper {

  @Select("select name from offered.person where id = #{id}")
  String name(PersonId id);

  @Select("select exists (select from offered.membership where person_id = #{id})")
  boolean isMember(PersonId id);

  @Select(
      "select tag from offered.person, unnest(tags) tag group by tag order by count(*) desc, tag limit 200")
  List<String> tags();

  @Select("select count(*) from quote where owner_id = #{owner}")
  long quotesOf(long owner);

  @Update("update quote set owner_id = #{to} where owner_id = #{from}")
  int giveQuotes(@Param("from") long from, @Param("to") long to);
}
