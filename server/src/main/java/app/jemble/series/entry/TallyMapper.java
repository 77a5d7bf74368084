package app.jemble.series.entry;

import app.jemble.series.entry.SeriesTally.Counts;
import app.jemble.series.entry.SeriesTally.StepCounts;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface TallyMapper {

  /** How many are past a step. */
  record StepHad(long stepId, long people) {}

  @Select(
      """
      select p.step_id, count(*) as people
      from series_pass p
      join offered.series_step s on s.id = p.step_id
      where s.series_id = #{series}
      group by p.step_id
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<StepHad> had(long series);

  /**
   * How many of those in it wait after a step.
   *
   * @param passed the step they are past; 0 for none
   */
  record WaitAfter(long passed, long people) {}

  @Select(
      """
      select coalesce(passed_step_id, 0) as passed, count(*) as people
      from series_entry
      where series_id = #{series} and state = 'in'
      group by passed_step_id
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<WaitAfter> waitAfter(long series);

  @Select(
      """
      select count(*) filter (where state = 'in') as in,
             count(*) filter (where state = 'finished') as finished,
             count(*) filter (where state = 'ended') as ended
      from series_entry
      where series_id = #{series}
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Counts counts(long series);

  @Select(
      """
      select p.step_id, count(*) filter (where m.is_sent) as sent,
             count(*) filter (where m.to_depart) as waiting,
             count(*) filter (where p.message_id is null) as without,
             count(*) filter (where m.opened) as opened,
             count(*) filter (where m.clicked) as clicked,
             count(*) filter (where m.replied) as replied,
             count(*) filter (where m.returned) as returned,
             count(*) filter (where m.has_left) as left_list
      from series_pass p
      join offered.series_step s on s.id = p.step_id
      left join offered.message m on m.id = p.message_id
      where s.series_id = #{series}
      group by p.step_id
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<StepCounts> stepCounts(long series);

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
