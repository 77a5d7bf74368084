package app.jemble.template;

import app.jemble.template.TemplateService.Draft;
import app.jemble.template.TemplateService.Template;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface TemplateMapper {

  String SELECT =
      """
      select t.id, t.name, t.subject, t.body, t.topic_id, c.name as topic, t.version,
             t.changed_at, a.name as changed_by,
             (select count(*) from mailing g where g.template_id = t.id) as used
      from template t
      join topic c on c.id = t.topic_id
      join account a on a.id = t.changed_by
      """;

  @Select(SELECT + "order by fold(t.name)")
  List<Template> all();

  @Select(SELECT + "where t.id = #{id}")
  Template find(long id);

  @Select("select count(*) from template where fold(name) = fold(#{name}) and id <> #{except}")
  int named(@Param("name") String name, @Param("except") long except);

  @Select(
      affectData = true,
      value =
          """
      insert into template (name, subject, body, topic_id, changed_by, changed_at)
      values (#{t.name}, #{t.subject}, #{t.body}, #{t.topicId}, #{by}, #{at})
      returning id
      """)
  long create(@Param("t") Draft draft, @Param("by") long by, @Param("at") Instant at);

  @Update(
      """
      update template
      set name = #{t.name}, subject = #{t.subject}, body = #{t.body}, topic_id = #{t.topicId},
          version = version + 1, changed_by = #{by}, changed_at = #{at}
      where id = #{id} and version = #{t.version}
      """)
  int save(
      @Param("id") long id, @Param("t") Draft draft, @Param("by") long by, @Param("at") Instant at);
}
