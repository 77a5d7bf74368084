package app.jemble.release;

import app.jemble.core.record.PersonId;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ReleaseMapper {

  /** In order of person: records, keys and indexes that lie together are then used together. */
  @Insert(
      """
      insert into mailing_release (mailing_id, person_ids, record_ids, due_seconds)
      select #{id},
             array_agg(person order by person, record),
             array_agg(record order by person, record),
             array_agg(due order by person, record)
      from unnest(#{people}::bigint[], #{records}::bigint[], #{dueSeconds}::bigint[])
        as noted (person, record, due)
      """)
  int note(
      @Param("id") long id,
      @Param("people") PersonId[] people,
      @Param("records") Long[] records,
      @Param("dueSeconds") Long[] dueSeconds);

  /** Cuts the list of people into lots, each written by whoever takes it. */
  @Insert(
      """
      insert into mailing_release_lot (mailing_id, begins, ends)
      select mailing_id, begins, least(begins + #{lot}, cardinality(person_ids))
      from mailing_release, generate_series(0, cardinality(person_ids) - 1, #{lot}) begins
      where mailing_id = #{id}
      """)
  int cut(@Param("id") long id, @Param("lot") int lot);

  /** All that was noted of a mailing, a column each; null when it is done. */
  record Noted(long mailingId, PersonId[] personIds, Long[] recordIds, Long[] dueSeconds) {}

  @Select(
      """
      select mailing_id, person_ids, record_ids, due_seconds
      from mailing_release
      where mailing_id = #{id}
      """)
  Noted noted(long id);

  /** A part of the list of people, from and to, which is not in it. */
  record Lot(int begins, int ends) {}

  /** The first lot that nobody is at; it is the caller's until the end of the transaction. */
  @Select(
      """
      delete from mailing_release_lot
      where mailing_id = #{id}
        and begins = (select begins
                      from mailing_release_lot
                      where mailing_id = #{id}
                      order by begins
                      limit 1
                      for update skip locked)
      returning begins, ends
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Lot takeLot(long id);

  @Select(
      """
      select cardinality(person_ids)
               - (select coalesce(sum(ends - begins), 0)
                  from mailing_release_lot
                  where mailing_id = #{id}) as written,
             cardinality(person_ids) as messages
      from mailing_release
      where mailing_id = #{id}
      """)
  WritingProgress progress(long id);

  /** What its messages are about, written or noted; none for those about people alone. */
  @Select(
      """
      select record_id
      from offered.message
      where cause_id = #{id} and record_id > 0
      union
      select record
      from mailing_release, unnest(record_ids) as noted (record)
      where mailing_id = #{id} and record > 0
      order by 1
      """)
  List<Long> records(long id);

  @Select("select mailing_id from mailing_release order by mailing_id")
  List<Long> unfinished();

  @Delete("delete from mailing_release where mailing_id = #{id}")
  int forget(long id);

  /** Whether this call was the one that found all lots written. */
  @Delete(
      """
      delete from mailing_release
      where mailing_id = #{id}
        and not exists (select from mailing_release_lot where mailing_id = #{id})
      """)
  boolean finish(long id);
}
