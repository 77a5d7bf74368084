package app.jemble.mailing;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ReleaseMapper {

  @Insert(
      """
      insert into mailing_release (mailing_id, person_ids, record_ids, due_seconds, touched_at)
      values (#{id}, #{people}, #{records}, #{dueSeconds}, #{now})
      """)
  int note(
      @Param("id") long id,
      @Param("people") Long[] people,
      @Param("records") Long[] records,
      @Param("dueSeconds") Long[] dueSeconds,
      @Param("now") Instant now);

  /** All that was noted of a mailing, a column each; null when it is done. */
  record Noted(
      long mailingId, Long[] personIds, Long[] recordIds, Long[] dueSeconds, int written) {}

  @Select(
      """
      select mailing_id, person_ids, record_ids, due_seconds, written
      from mailing_release
      where mailing_id = #{id}
      """)
  Noted noted(long id);

  /** How many are written; null when it is done, or when somebody else is at it. */
  @Select(
      """
      select written
      from mailing_release
      where mailing_id = #{id}
      for update skip locked
      """)
  Integer lockedWritten(long id);

  @Update(
      """
      update mailing_release
      set written = #{written}, touched_at = #{now}
      where mailing_id = #{id}
      """)
  int wrote(@Param("id") long id, @Param("written") int written, @Param("now") Instant now);

  /** How many messages a release has, and how many of them are written. */
  record WritingProgress(int written, int messages) {}

  @Select(
      """
      select written, cardinality(person_ids) as messages
      from mailing_release
      where mailing_id = #{id}
      """)
  WritingProgress progress(long id);

  @Select("select mailing_id from mailing_release where touched_at < #{since} order by mailing_id")
  List<Long> untouchedSince(Instant since);

  @Delete("delete from mailing_release where mailing_id = #{id}")
  int forget(long id);

  /** It is held from when it is all there. */
  @Update(
      """
      update mailing
      set held_until = greatest(held_until, #{heldUntil}), version = version + 1
      where id = #{id} and state = 'released'
      """)
  int written(@Param("id") long id, @Param("heldUntil") Instant heldUntil);
}
