package app.jemble.sending;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface PhoneRulesMapper {

  /** The rules as they are stored; minutes of the day. */
  record Stored(
      int quietFrom,
      int quietTo,
      List<String> stopWords,
      BigDecimal mostADay,
      BigDecimal mostAMonth,
      int version) {}

  @Select(
      """
      select quiet_from, quiet_to, stop_words, most_a_day, most_a_month, version
      from phone_rules
      where id = 1
      """)
  Stored find();

  /** Answers 0 when they are not of the version that was seen. */
  @Update(
      """
      update phone_rules
      set quiet_from = #{quietFrom}, quiet_to = #{quietTo}, stop_words = #{stopWords},
          most_a_day = #{mostADay}, most_a_month = #{mostAMonth}, version = version + 1
      where id = 1 and version = #{version}
      """)
  int write(Stored rules);

  /** A row of the price table. */
  record PriceRow(String prefix, String placeName, BigDecimal eachPart) {}

  @Select("select prefix, place_name, each_part from text_price order by place_name, prefix")
  List<PriceRow> prices();

  /**
   * What texts that left since an instant cost, by the prices of today; every part has a reference
   * of its own. Parts whose place has no price cost nothing here.
   */
  @Select(
      """
      select coalesce(sum(price.each_part), 0)
      from offered.house_message s
      join offered.house_handed_over h on h.message_id = s.id
      cross join lateral (
        select p.each_part
        from text_price p
        where substr(s.address, 2) like p.prefix || '%'
        order by length(p.prefix) desc
        limit 1) price
      where s.sent_at >= #{since} and s.channel = 'TEXT'
      """)
  BigDecimal spent(Instant since);

  @Delete("delete from text_price")
  int removePrices();

  @Insert(
      """
      insert into text_price (prefix, place_name, each_part)
      select * from unnest(#{prefixes}::text[], #{places}::text[], #{each}::numeric[])
      """)
  int addPrices(
      @Param("prefixes") List<String> prefixes,
      @Param("places") List<String> places,
      @Param("each") List<String> each);
}
