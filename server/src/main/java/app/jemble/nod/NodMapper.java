package app.jemble.nod;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface NodMapper {

  /**
   * A nod that was asked for.
   *
   * @param refusedBy null while nobody has refused it
   */
  record NodRow(
      long causeId,
      int version,
      int people,
      long askedBy,
      Instant askedAt,
      Long refusedBy,
      Instant refusedAt,
      String word) {}

  /**
   * A nod and the draft it is for.
   *
   * @param by who asked for it, or who refused it
   */
  record NodAndName(
      long causeId, String mailing, int people, long by, String byName, Instant at, String word) {}

  @Select(
      """
      select cause_id, version, people, asked_by, asked_at, refused_by, refused_at, word
      from nod
      where cause_id = #{id}
      """)
  NodRow find(long id);

  @Insert(
      """
      insert into nod (cause_id, version, people, asked_by, asked_at)
      values (#{causeId}, #{version}, #{people}, #{askedBy}, #{askedAt})
      on conflict (cause_id) do update
      set version = excluded.version, people = excluded.people, asked_by = excluded.asked_by,
          asked_at = excluded.asked_at, refused_by = null, refused_at = null, word = ''
      """)
  int ask(NodRow nod);

  @Update(
      """
      update nod
      set refused_by = #{by}, refused_at = #{at}, word = #{word}
      where cause_id = #{id}
      """)
  int refuse(
      @Param("id") long id,
      @Param("by") long by,
      @Param("at") Instant at,
      @Param("word") String word);

  @Delete("delete from nod where cause_id = #{id}")
  int forget(long id);

  /** What waits for somebody's nod that this colleague may see and did not ask for. */
  @Select(
      """
      select n.cause_id, g.name as mailing, n.people, n.asked_by as by, a.name as by_name,
             n.asked_at as at, '' as word
      from nod n
      join offered.account a on a.id = n.asked_by
      join offered.open_cause g on g.id = n.cause_id and g.open_to = #{me}
      where g.is_draft and g.version = n.version and n.refused_at is null and n.asked_by <> #{me}
      order by n.asked_at, n.cause_id
      """)
  List<NodAndName> asked(long me);

  /** What this colleague asked for and was refused. */
  @Select(
      """
      select n.cause_id, g.name as mailing, n.people, n.refused_by as by, a.name as by_name,
             n.refused_at as at, n.word
      from nod n
      join offered.account a on a.id = n.refused_by
      join offered.open_cause g on g.id = n.cause_id and g.open_to = #{me}
      where g.is_draft and g.version = n.version and n.refused_at is not null
        and n.asked_by = #{me}
      order by n.refused_at, n.cause_id
      """)
  List<NodAndName> refused(long me);
}
