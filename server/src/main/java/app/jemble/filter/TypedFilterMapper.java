package app.jemble.filter;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface TypedFilterMapper {

  /** What the value of a field is called. */
  record FieldName(String field, String name, String key) {}

  /** Everything a filter can name that is open to a colleague; what is newest comes first. */
  @Select(
      """
      select 'owner' as field, name, login as key, id as place
      from offered.account
      union all
      select 'mailing', name, id::text, id
      from offered.open_cause
      where open_to = #{me} and not is_draft and not is_rule and not goes_on
      union all
      select 'list', name, name, id
      from offered.person_list
      union all
      select 'topic_left', name, name, id
      from offered.topic
      union all
      select 'reached_by', way, way, 0
      from (values ('E-mail'), ('Text message'), ('App')) as of_house (way)
      union all
      select 'tags', tag, tag, 0
      from (select distinct unnest(tags) as tag from offered.person) used
      order by place desc
      """)
  List<FieldName> names(long me);
}
