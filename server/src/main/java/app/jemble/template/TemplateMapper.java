package app.jemble.template;

import app.jemble.template.TemplateService.Template;
import app.jemble.template.TemplateService.TemplateDraft;
import app.jemble.template.TemplateService.TemplateVersion;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface TemplateMapper {

  String SELECT =
      """
      select t.id, t.name, t.label, t.starts_from, t.private_to is not null as is_private,
             t.private_to, t.made_by,
             t.subject, t.body, t.topic_id, c.name as topic, t.letterhead_id, t.promotional,
             t.version, t.changed_at, a.name as changed_by,
             (select count(*) from offered.cause g
              join offered.wording w on w.id = g.wording_id
              where w.template_id = t.id and not g.is_discarded)
               as used
      from template t
      join offered.topic c on c.id = t.topic_id
      join offered.account a on a.id = t.changed_by
      """;

  @Select(
      SELECT
          + """
            where t.private_to is null or t.private_to = #{who}
            order by t.label = '', fold(t.label), fold(t.name)
            """)
  List<Template> all(long who);

  @Select(SELECT + "where t.id = #{id}")
  Template find(long id);

  /** Templates of that name that a colleague can see. */
  @Select(
      """
      select count(*)
      from template
      where fold(name) = fold(#{name}) and id <> #{except}
        and (private_to is null or private_to = #{who})
      """)
  int named(@Param("name") String name, @Param("except") long except, @Param("who") long who);

  @Select(
      affectData = true,
      value =
          """
          insert into template (name, label, starts_from, private_to, subject, body, topic_id,
                                letterhead_id, promotional, made_by, changed_by, changed_at)
          values (#{t.name}, #{t.label}, #{t.startsFrom}, #{privateTo}, #{t.subject}, #{t.body},
                  #{t.topicId}, #{t.letterheadId}, #{t.promotional}, #{by}, #{by}, #{at})
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long create(
      @Param("t") TemplateDraft draft,
      @Param("privateTo") Long privateTo,
      @Param("by") long by,
      @Param("at") Instant at);

  /** Whoever saves it does so one after another. */
  @Select("select id from template where id = #{id} for update")
  Long lock(long id);

  @Insert(
      """
      insert into template_version (template_id, version, name, subject, body, saved_at, saved_by)
      select id, version, name, subject, body, changed_at, changed_by
      from template
      where id = #{id} and version = #{version}
      """)
  int keepVersion(@Param("id") long id, @Param("version") int version);

  @Update(
      """
      update template
      set name = #{t.name}, label = #{t.label}, starts_from = #{t.startsFrom},
          private_to = #{privateTo}, subject = #{t.subject}, body = #{t.body},
          topic_id = #{t.topicId}, letterhead_id = #{t.letterheadId},
          promotional = #{t.promotional}, version = version + 1, changed_by = #{by},
          changed_at = #{at}
      where id = #{id} and version = #{t.version}
      """)
  int save(
      @Param("id") long id,
      @Param("t") TemplateDraft draft,
      @Param("privateTo") Long privateTo,
      @Param("by") long by,
      @Param("at") Instant at);

  @Select(
      """
      select v.version, v.name, v.subject, v.body, v.saved_at, a.name as saved_by
      from template_version v
      join offered.account a on a.id = v.saved_by
      where v.template_id = #{id}
      order by v.version desc
      """)
  List<TemplateVersion> versions(long id);

  @Delete("delete from template where id = #{id}")
  int remove(long id);
}
