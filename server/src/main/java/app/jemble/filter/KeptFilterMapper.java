package app.jemble.filter;

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
interface KeptFilterMapper {

  /** A kept filter as it is stored. */
  record KeptRow(
      long id,
      String name,
      String filter,
      String layout,
      boolean shared,
      long ownerId,
      String owner) {}

  @Select(
      """
      select k.id, k.name, k.filter::text as filter, k.layout::text as layout, k.shared, k.owner_id,
             a.name as owner
      from kept_filter k
      join offered.account a on a.id = k.owner_id
      where k.subject = #{subject} and (k.shared or k.owner_id = #{me})
      order by k.owner_id <> #{me}, fold(k.name), k.id
      """)
  List<KeptRow> all(@Param("subject") String subject, @Param("me") long me);

  /** A filter to be kept, with how its list looks; both as JSON. */
  record ToKeep(String subject, String name, String filter, String layout, boolean shared) {}

  @Select(
      value =
          """
          insert into kept_filter (subject, name, filter, layout, shared, owner_id, changed_at)
          values (#{f.subject}, #{f.name}, #{f.filter}::jsonb, #{f.layout}::jsonb, #{f.shared},
                  #{owner}, #{at})
          on conflict (subject, owner_id, name) do update
          set filter = excluded.filter, layout = excluded.layout, shared = excluded.shared,
              changed_at = excluded.changed_at
          returning id
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long keep(@Param("f") ToKeep filter, @Param("owner") long owner, @Param("at") Instant at);

  @Update(
      """
      update kept_filter set name = #{name}, shared = #{shared}
      where id = #{id} and owner_id = #{owner}
      """)
  int rename(
      @Param("id") long id,
      @Param("name") String name,
      @Param("shared") boolean shared,
      @Param("owner") long owner);

  /** Whether somebody shares it with all. */
  @Select("select exists (select from kept_filter where id = #{id} and shared)")
  boolean isShared(long id);

  /** A filter as it is stored. */
  record Stored(long id, String subject, String filter) {}

  @Select(
      """
      select id, subject, filter::text as filter
      from kept_filter
      where jsonb_path_exists(filter, '$.**.field ? (@ == $field)',
                              jsonb_build_object('field', #{field}::text))
      order by id
      for update
      """)
  List<Stored> about(String field);

  @Update("update kept_filter set filter = #{filter}::jsonb where id = #{id}")
  int write(@Param("id") long id, @Param("filter") String filter);

  @Delete("delete from kept_filter where id = #{id} and owner_id = #{owner}")
  int remove(@Param("id") long id, @Param("owner") long owner);

  @Select("select layout::text from layout where account_id = #{account} and subject = #{subject}")
  String layout(@Param("account") long account, @Param("subject") String subject);

  @Insert(
      """
      insert into layout (account_id, subject, layout)
      values (#{account}, #{subject}, #{layout}::jsonb)
      on conflict (account_id, subject) do update set layout = excluded.layout
      """)
  int setLayout(
      @Param("account") long account,
      @Param("subject") String subject,
      @Param("layout") String layout);

  @Select("select count(*) from kept_filter where owner_id = #{owner} and shared")
  long countShared(long owner);

  /** One whose name the other has already says whose it was, and which. */
  @Update(
      """
      update kept_filter k
      set owner_id = #{to},
          name = case when exists (select from kept_filter o
                                   where o.owner_id = #{to} and o.subject = k.subject
                                     and o.name = k.name)
                      then k.name || ' (' || #{fromName} || ', ' || k.id || ')'
                      else k.name end
      where owner_id = #{from} and shared
      """)
  int giveShared(
      @Param("from") long from, @Param("fromName") String fromName, @Param("to") long to);
}
