package app.jemble.history;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

@Mapper
interface HistoryMapper {

  @Insert(
      """
      insert into house_event (at, account_id, tried, kind, words, about, before, after, address)
      values (#{at}, #{e.account}, #{e.tried}, #{e.kind}, #{e.words}, #{e.about}, #{e.before},
              #{e.after}, #{address})
      """)
  int note(
      @Param("at") Instant at,
      @Param("e") HouseHistory.Event event,
      @Param("address") String address);

  @Insert(
      """
      insert into house_event (at, account_id, tried, kind, words, about, before, after, address)
      select #{at}, #{e.account}, #{e.tried}, #{e.kind}, #{e.words}, #{e.about}, #{e.before},
             #{e.after}, #{address}
      where not exists (
        select from house_event
        where account_id = #{e.account} and kind = #{e.kind} and about = #{e.about}
          and at > #{since})
      """)
  int noteOnce(
      @Param("at") Instant at,
      @Param("e") HouseHistory.Event event,
      @Param("address") String address,
      @Param("since") Instant since);

  @Delete("delete from house_event where at < #{instant}")
  int forgetBefore(Instant instant);
}
