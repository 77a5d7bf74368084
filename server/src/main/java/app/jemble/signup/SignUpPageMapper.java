package app.jemble.signup;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SignUpPageMapper {

  /** A page as it is stored; lists and words are JSON. */
  record Row(
      long id,
      String key,
      String name,
      boolean open,
      String asks,
      String topics,
      String ways,
      String words,
      String kind,
      String source,
      String tag,
      Long ownerId,
      Long seriesId,
      Long tellId,
      int consentVersion,
      int version,
      long madeBy) {}

  String SELECT =
      """
      select id, key, name, open, asks::text as asks, to_json(topics)::text as topics,
             to_json(ways)::text as ways,
             (select json_agg(json_build_object('language', upper(l.tag), 'words', words -> l.tag)
                              order by l.place)::text
              from unnest(languages) with ordinality l (tag, place)) as words,
             kind, source, tag, owner_id, series_id, tell_id, consent_version, version,
             created_by as made_by
      from sign_up_page
      """;

  @Select(SELECT + "order by lower(name), id")
  List<Row> all();

  @Select(SELECT + "where id = #{id}")
  Row find(long id);

  @Select(SELECT + "where key = #{key}")
  Row byKey(String key);

  @Select(
      affectData = true,
      value =
          """
          insert into sign_up_page
            (key, name, open, asks, topics, ways, words, languages, kind, source, tag, owner_id,
             series_id, tell_id, created_at, created_by)
          values
            (#{r.key}, #{r.name}, #{r.open}, #{r.asks}::jsonb,
             array(select json_array_elements_text(#{r.topics}::json)::bigint),
             array(select json_array_elements_text(#{r.ways}::json)),
             #{r.words}::jsonb, array(select json_array_elements_text(#{languages}::json)),
             #{r.kind}, #{r.source}, #{r.tag}, #{r.ownerId}, #{r.seriesId}, #{r.tellId}, #{at},
             #{by})
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long create(
      @Param("r") Row row,
      @Param("languages") String languages,
      @Param("at") Instant at,
      @Param("by") long by);

  /** Nothing when it is not of the version that was seen. */
  @Update(
      """
      update sign_up_page
      set key = #{r.key}, name = #{r.name}, open = #{r.open}, asks = #{r.asks}::jsonb,
          topics = array(select json_array_elements_text(#{r.topics}::json)::bigint),
          ways = array(select json_array_elements_text(#{r.ways}::json)),
          words = #{r.words}::jsonb,
          languages = array(select json_array_elements_text(#{languages}::json)),
          kind = #{r.kind}, source = #{r.source}, tag = #{r.tag}, owner_id = #{r.ownerId},
          series_id = #{r.seriesId}, tell_id = #{r.tellId},
          consent_version = #{r.consentVersion}, version = version + 1
      where id = #{r.id} and version = #{r.version}
      """)
  int save(@Param("r") Row row, @Param("languages") String languages);

  /** What is counted of a page. */
  enum Counted {
    SAW,
    BEGAN,
    ASKED,
    CONFIRMED
  }

  @Insert(
      """
      insert into sign_up_day (page_id, day, saw, began, asked, confirmed)
      values (#{page}, #{day}, case #{what} when 'SAW' then 1 else 0 end,
              case #{what} when 'BEGAN' then 1 else 0 end,
              case #{what} when 'ASKED' then 1 else 0 end,
              case #{what} when 'CONFIRMED' then 1 else 0 end)
      on conflict (page_id, day) do update
      set saw = sign_up_day.saw + excluded.saw, began = sign_up_day.began + excluded.began,
          asked = sign_up_day.asked + excluded.asked,
          confirmed = sign_up_day.confirmed + excluded.confirmed
      """)
  void count(@Param("page") long page, @Param("day") LocalDate day, @Param("what") Counted what);

  @Select(
      """
      select p.id as page, coalesce(sum(d.saw), 0) as saw, coalesce(sum(d.began), 0) as began,
             coalesce(sum(d.asked), 0) as asked, coalesce(sum(d.confirmed), 0) as confirmed,
             (select count(*) from sign_up s
              where s.page_id = p.id and s.differs <> '{}' and s.settled_at is null) as looks
      from sign_up_page p left join sign_up_day d on d.page_id = p.id
      group by p.id
      """)
  List<SignUpPages.SignUpNumbers> numbers();

  /** Pages whose people become a colleague's, or of which a colleague is told. */
  @Select("select count(*) from sign_up_page where #{colleague} in (owner_id, tell_id)")
  long countNaming(long colleague);

  @Update(
      """
      update sign_up_page
      set owner_id = case owner_id when #{from} then #{to} else owner_id end,
          tell_id = case tell_id when #{from} then #{to} else tell_id end,
          version = version + 1
      where #{from} in (owner_id, tell_id)
      """)
  int nameInstead(@Param("from") long from, @Param("to") long to);
}
