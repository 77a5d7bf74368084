package app.jemble.series.entry;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface TallyMapper {

  /**
   * Numbers of a large series, as JSON.
   *
   * @param tookMs how long it took to count them
   */
  record Kept(long seriesId, Instant countedAt, long tookMs, String tally) {}

  @Select(
      """
      select count(*) > #{most}
      from (select from series_entry where series_id = #{series} limit #{most} + 1) as found
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  boolean hasMoreThan(@Param("series") long series, @Param("most") long most);

  @Select(
      """
      select series_id, counted_at, took_ms, tally::text as tally
      from series_tally
      where series_id = #{series}
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Kept kept(long series);

  @Select(
      """
      select series_id, counted_at, took_ms, '' as tally
      from series_tally
      order by series_id
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Kept> allKept();

  @Insert(
      """
      insert into series_tally (series_id, counted_at, took_ms, tally)
      values (#{k.seriesId}, #{k.countedAt}, #{k.tookMs}, #{k.tally}::jsonb)
      on conflict (series_id) do update
      set counted_at = excluded.counted_at, took_ms = excluded.took_ms, tally = excluded.tally
      """)
  int keep(@Param("k") Kept kept);
}
