package app.jemble.letterhead;

import app.jemble.letterhead.LetterheadService.LetterheadDraft;
import app.jemble.letterhead.LetterheadService.SavedLetterhead;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface LetterheadMapper {

  String SELECT =
      """
      select h.id, h.name, h.band, h.band_ink, h.page, h.paper, h.ink, h.accent, h.typeface,
             h.logo_key, h.header, h.footer, h.version,
             (select count(*) from offered.template t where t.letterhead_id = h.id)
               + (select count(*) from offered.wording w where w.letterhead_id = h.id) as used
      from letterhead h
      """;

  @Select(SELECT + "order by h.id")
  List<SavedLetterhead> all();

  @Select(SELECT + "where h.id = #{id}")
  SavedLetterhead find(long id);

  @Select(
      "select count(*) from letterhead where name_key = fold(btrim(#{name})) and id <> #{except}")
  int named(@Param("name") String name, @Param("except") long except);

  @Select(
      affectData = true,
      value =
          """
          insert into letterhead (name, band, band_ink, page, paper, ink, accent, typeface, logo_key,
                                  header, footer, changed_at, changed_by)
          values (#{d.name}, #{d.band}, #{d.bandInk}, #{d.page}, #{d.paper}, #{d.ink}, #{d.accent},
                  #{d.typeface}, #{d.logoKey}, #{d.header}, #{d.footer}, #{at}, #{by})
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long create(@Param("d") LetterheadDraft draft, @Param("at") Instant at, @Param("by") long by);

  @Update(
      """
      update letterhead
      set name = #{d.name}, band = #{d.band}, band_ink = #{d.bandInk}, page = #{d.page},
          paper = #{d.paper}, ink = #{d.ink}, accent = #{d.accent}, typeface = #{d.typeface},
          logo_key = #{d.logoKey}, header = #{d.header}, footer = #{d.footer},
          version = version + 1, changed_at = #{at}, changed_by = #{by}
      where id = #{id} and version = #{d.version}
      """)
  int save(
      @Param("id") long id,
      @Param("d") LetterheadDraft draft,
      @Param("at") Instant at,
      @Param("by") long by);

  @Delete("delete from letterhead where id = #{id}")
  int remove(long id);
}
