package app.jemble.workspace;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface WorkspaceMapper {

  /** An attribute as it is stored. */
  record AttributeRow(String name, String label, String type, List<String> choices) {}

  @Select(
      """
      select name, postal_address, zone, language, return_domain, hold_seconds, secret
      from workspace
      where id = 1
      """)
  Workspace find();

  /** The first workspace wins when two processes start at once. */
  @Insert(
      """
      insert into workspace (id, name, postal_address, zone, language, return_domain, hold_seconds, secret)
      values (1, #{w.name}, #{w.postalAddress}, #{w.zone}, #{w.language}, #{w.returnDomain},
              #{w.holdSeconds}, #{w.secret})
      on conflict (id) do nothing
      """)
  int create(@Param("w") Workspace workspace);

  @Select("select name, label, type, choices from attribute order by label")
  List<AttributeRow> attributes();

  @Insert(
      """
      insert into attribute (name, label, type, choices)
      values (#{a.name}, #{a.label}, #{a.type}, #{a.choices})
      """)
  int addAttribute(@Param("a") AttributeRow attribute);

  /** A topic of mailings, which people can leave. */
  record TopicRow(long id, String name) {}

  @Select("select id, name from topic order by id")
  List<TopicRow> topics();

  @Insert("insert into topic (name) values (#{name})")
  int addTopic(String name);
}
