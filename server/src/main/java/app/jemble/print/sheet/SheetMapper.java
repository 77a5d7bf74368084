package app.jemble.print.sheet;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SheetMapper {

  record StoredSheet(long id, String layout) {}

  @Select("select id, layout::text as layout from own_sheet order by layout ->> 'name', id")
  List<StoredSheet> sheets();

  @Select(
      affectData = true,
      value =
          """
          insert into own_sheet (layout, created_at, made_by)
          values (#{layout}::jsonb, #{at}, #{by})
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long addSheet(@Param("layout") String layout, @Param("at") Instant at, @Param("by") long by);

  @Delete("delete from own_sheet where id = #{id}")
  int removeSheet(long id);

  record StoredTemplate(long id, String name, String design) {}

  @Select("select id, name, design::text as design from label_template order by name")
  List<StoredTemplate> templates();

  /** Under a name that there is, it takes the place of what was kept. */
  @Select(
      affectData = true,
      value =
          """
          insert into label_template (name, design, created_at, made_by)
          values (#{name}, #{design}::jsonb, #{at}, #{by})
          on conflict (name) do update
          set design = excluded.design, created_at = excluded.created_at, made_by = excluded.made_by
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long keepTemplate(
      @Param("name") String name,
      @Param("design") String design,
      @Param("at") Instant at,
      @Param("by") long by);

  @Delete("delete from label_template where id = #{id}")
  int removeTemplate(long id);
}
