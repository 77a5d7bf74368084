package app.jemble.print;

import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What is printed: whose labels with which words, and the file of them. */
@Mapper
interface ItemMapper {

  /** Begins the printing of a draft. */
  @Update(
      """
      update print_run
      set state = 'PRINTING', printing_since = #{at}, touched_at = #{at}, to_print = #{people},
          done = 0, trouble = '', version = version + 1
      where id = #{id} and state = 'DRAFT'
      """)
  int begin(@Param("id") long id, @Param("people") int people, @Param("at") Instant at);

  @Insert(
      """
      insert into print_item (run_id, place, person_id, words, address)
      select #{id}, i.place - 1, i.person_id, i.words, i.address
      from unnest(#{people}::bigint[], #{words}::text[], #{addresses}::text[])
        with ordinality i (person_id, words, address, place)
      """)
  int note(
      @Param("id") long id,
      @Param("people") PersonId[] people,
      @Param("words") List<String> words,
      @Param("addresses") List<String> addresses);

  /** A label as it was printed. */
  record Printed(int place, PersonId personId, String name, String words, LocalDate returnedOn) {}

  @Select(
      """
      select i.place, i.person_id, coalesce(p.name, '') as name, i.words, i.returned_on
      from print_item i
      left join offered.person p on p.id = i.person_id
      where i.run_id = #{id} and i.place >= #{from}
      order by i.place
      limit #{limit}
      """)
  List<Printed> printed(@Param("id") long id, @Param("from") int from, @Param("limit") int limit);

  /** Takes the printing on, unless somebody else is at it. */
  @Update(
      """
      update print_run set touched_at = #{now}
      where id = #{id} and state = 'PRINTING'
        and (touched_at = printing_since or touched_at < #{still})
      """)
  int take(@Param("id") long id, @Param("now") Instant now, @Param("still") Instant still);

  @Select("select id from print_run where state = 'PRINTING' and touched_at < #{still}")
  List<Long> standingStill(Instant still);

  /** How far a printing has come; nothing is changed when it was stopped, or begun anew. */
  @Update(
      """
      update print_run set done = #{done}, touched_at = #{now}
      where id = #{run.id} and state = 'PRINTING' and printing_since = #{run.printingSince}
      """)
  int progress(@Param("run") PrintRun printing, @Param("done") int done, @Param("now") Instant now);

  @Delete("delete from print_file where run_id = #{id}")
  int dropFile(long id);

  @Delete("delete from print_item where run_id = #{id}")
  int dropItems(long id);

  @Insert("insert into print_file (run_id, piece, octets) values (#{id}, #{piece}, #{octets})")
  int addPiece(@Param("id") long id, @Param("piece") int piece, @Param("octets") byte[] octets);

  @Select("select octets from print_file where run_id = #{id} and piece = #{piece}")
  List<byte[]> piece(@Param("id") long id, @Param("piece") int piece);

  @Update(
      """
      update print_run
      set state = 'PRINTED', printed_at = #{now}, done = to_print, pages = #{pages},
          version = version + 1
      where id = #{run.id} and state = 'PRINTING' and printing_since = #{run.printingSince}
      """)
  int end(@Param("run") PrintRun printing, @Param("pages") int pages, @Param("now") Instant now);

  /** Back to a draft, with what went wrong. */
  @Update(
      """
      update print_run
      set state = 'DRAFT', trouble = #{trouble}, to_print = 0, done = 0, version = version + 1
      where id = #{id} and state = 'PRINTING'
      """)
  int backToDraft(@Param("id") long id, @Param("trouble") String trouble);

  @Update(
      """
      update print_item set returned_on = #{day}
      where run_id = #{id} and person_id = #{personId}
      """)
  int returned(
      @Param("id") long id, @Param("personId") PersonId personId, @Param("day") LocalDate day);
}
