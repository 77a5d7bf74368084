package app.jemble.history.page;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface HistoryListMapper {

  /**
   * What is looked for.
   *
   * @param kind of an event, or PEOPLE; null for all
   * @param by the id of a colleague; null for all
   * @param from at this instant or later; null for any time
   * @param until before this instant; null for any time
   * @param key of the last one that was seen; empty for none
   * @param at its instant
   */
  record Wanted(String kind, Long by, Instant from, Instant until, String key, Instant at) {}

  /**
   * Something that was done.
   *
   * @param key which it is, among all
   * @param who the colleague, else what was typed
   */
  record Row(
      String key,
      Instant at,
      String who,
      String kind,
      String words,
      String about,
      String before,
      String after,
      String address) {}

  /** The latest first. */
  @Select(
      """
      select h.key, h.at, coalesce(a.name, h.tried) as who, h.kind, h.words, h.about, h.before,
             h.after, h.address
      from (
        select 'e' || lpad(id::text, 18, '0') as key, at, account_id, tried, kind, words, about,
               before, after, address
        from offered.house_event
        union all
        select 'p' || lpad(id::text, 18, '0'), at, by_id, '', 'PEOPLE', words, '', '', '', address
        from offered.change_batch
      ) h
      left join offered.account a on a.id = h.account_id
      where (#{w.kind}::text is null or h.kind = #{w.kind})
        and (#{w.by}::bigint is null or h.account_id = #{w.by})
        and (#{w.from}::timestamptz is null or h.at >= #{w.from})
        and (#{w.until}::timestamptz is null or h.at < #{w.until})
        and (#{w.key} = '' or (h.at, h.key) < (#{w.at}, #{w.key}))
      order by h.at desc, h.key desc
      limit #{most}
      """)
  List<Row> page(@Param("w") Wanted wanted, @Param("most") int most);
}
