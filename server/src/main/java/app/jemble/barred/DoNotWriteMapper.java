package app.jemble.barred;

import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.ResultType;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.mapping.ResultSetType;
import org.apache.ibatis.session.ResultHandler;

@Mapper
interface DoNotWriteMapper {

  /**
   * An address that is not written to.
   *
   * @param by the colleague who put it there; null: software
   * @param person one whose address it is, or null
   */
  record Listed(
      String address,
      String reason,
      Instant since,
      String note,
      String by,
      PersonId personId,
      String person) {}

  String SELECT =
      """
      select d.address_key as address, d.reason, d.since, d.note, a.name as by,
             p.id as person_id, p.name as person
      from do_not_write d
      left join offered.account a on a.id = d.by_id
      left join lateral (
        select id, name from offered.person
        where (email_key = d.address_key or phone_key = d.address_key
               or id in (select person_id from offered.device v where v.address_key = d.address_key))
          and archived_at is null
        order by id limit 1) p on true
      """;

  @Select(
      SELECT
          + """
            where (#{find} = '' or strpos(d.address_key, lower(#{find})) > 0)
              and (#{reason}::text is null or d.reason = #{reason})
              and (#{since}::timestamptz is null
                   or (d.since, d.address_key) < (#{since}, #{address}))
            order by d.since desc, d.address_key desc
            limit #{most}
            """)
  List<Listed> page(
      @Param("find") String find,
      @Param("reason") String reason,
      @Param("since") Instant since,
      @Param("address") String address,
      @Param("most") int most);

  /** How many addresses there are for a reason. */
  record ReasonCount(String reason, long addresses) {}

  @Select("select reason, count(*) as addresses from do_not_write group by reason order by reason")
  List<ReasonCount> counts();

  @Select(SELECT + "order by d.address_key")
  @Options(fetchSize = 1000, resultSetType = ResultSetType.FORWARD_ONLY)
  @ResultType(Listed.class)
  void all(ResultHandler<Listed> reader);

  @Select("select reason from do_not_write where address_key = #{key} for update")
  String lockedReason(String key);

  /** For what came back an address is on the list; null when it is not, or for something else. */
  @Select("select reason from do_not_write where address_key = #{key} and by_id is null for update")
  String whatCameBack(String key);

  /** Adds addresses, a column each; those that are there stay as they are. Answers how many. */
  @Insert(
      """
      insert into do_not_write (address_key, reason, since, note, by_id)
      select distinct on (key) key, reason, #{at}::timestamptz, note, #{by}::bigint
      from unnest(#{keys}::text[], #{reasons}::text[], #{notes}::text[]) as n (key, reason, note)
      on conflict do nothing
      """)
  int add(
      @Param("keys") List<String> keys,
      @Param("reasons") List<String> reasons,
      @Param("notes") List<String> notes,
      @Param("at") Instant at,
      @Param("by") long by);

  @Insert(
      """
      insert into written_to_again (address_key, reason, since, lifted_at, lifted_by, note)
      select address_key, reason, since, #{at}, #{by}, #{note}
      from do_not_write
      where address_key = #{key}
      """)
  int noteLifted(
      @Param("key") String key,
      @Param("note") String note,
      @Param("at") Instant at,
      @Param("by") long by);

  @Delete("delete from do_not_write where address_key = #{key}")
  int lift(String key);

  /** An address that was taken off the list. */
  record Lifted(String address, String reason, Instant at, String by, String note) {}

  @Select(
      """
      select w.address_key as address, w.reason, w.lifted_at as at, a.name as by, w.note
      from written_to_again w
      join offered.account a on a.id = w.lifted_by
      order by w.lifted_at desc, w.id desc
      limit #{most}
      """)
  List<Lifted> lifted(int most);

  /** Something came back: an earlier reason stays. */
  @Insert(
      """
      insert into do_not_write (address_key, reason, since, note)
      values (lower(btrim(#{address})), #{reason}, #{at}, #{note})
      on conflict do nothing
      """)
  int bar(
      @Param("address") String address,
      @Param("reason") String reason,
      @Param("at") Instant at,
      @Param("note") String note);
}
