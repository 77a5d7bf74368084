package app.jemble.print;

import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface PrintMapper {

  String RUN =
      """
      select id, name, made_by, created_at, version, state, parts::text as parts, picks, left_out,
             design::text as design, start, copies, offset_across, offset_down, printing_since,
             to_print, done, trouble, printed_at, pages, posted_on, cause_id, duplex,
             document_id, document_version
      from print_run
      """;

  @Select(RUN + "where id = #{id}")
  PrintRun find(long id);

  @Select(RUN + "where id = #{id} for update")
  PrintRun lock(long id);

  /** A run in the list. */
  record PrintRunRow(
      long id,
      String name,
      String state,
      String sheet,
      String maker,
      Instant createdAt,
      Instant printedAt,
      int pages,
      int people,
      int returned,
      LocalDate postedOn) {}

  @Select(
      """
      select r.id, r.name, r.state, r.design -> 'sheet' ->> 'name' as sheet, a.name as maker,
             r.created_at, r.printed_at, r.pages, r.to_print as people,
             (select count(*) from print_item i
              where i.run_id = r.id and i.returned_on is not null)::int as returned,
             r.posted_on
      from print_run r
      join offered.account a on a.id = r.made_by
      where r.state <> 'DISCARDED' and r.cause_id is null
      order by r.id desc
      limit 200
      """)
  List<PrintRunRow> all();

  @Select(
      affectData = true,
      value =
          """
          insert into print_run (name, made_by, created_at, parts, picks, left_out, design)
          values (#{name}, #{madeBy}, #{at}, #{parts}::jsonb, #{picks}, #{leftOut}, #{design}::jsonb)
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long create(NewRun run);

  record NewRun(
      String name,
      long madeBy,
      Instant at,
      String parts,
      PersonId[] picks,
      PersonId[] leftOut,
      String design) {}

  @Update(
      """
      update print_run
      set name = #{r.name}, parts = #{parts}::jsonb, picks = #{picks}, left_out = #{leftOut},
          design = #{design}::jsonb, start = #{r.start}, copies = #{r.copies},
          offset_across = #{r.offsetAcross}, offset_down = #{r.offsetDown}, version = version + 1
      where id = #{id} and version = #{r.version} and state = 'DRAFT'
      """)
  int write(
      @Param("id") long id,
      @Param("r") PrintRunBody body,
      @Param("parts") String parts,
      @Param("picks") PersonId[] picks,
      @Param("leftOut") PersonId[] leftOut,
      @Param("design") String design);

  @Update(
      """
      update print_run set state = #{to}, version = version + 1
      where id = #{id} and state = #{from}
      """)
  int move(@Param("id") long id, @Param("from") RunState from, @Param("to") RunState to);

  @Update("update print_run set version = version + 1 where id = #{id}")
  int touch(long id);

  /** Words that stand for one person's label. */
  record Own(PersonId personId, String words) {}

  @Select("select person_id, words from print_own where run_id = #{id}")
  List<Own> own(long id);

  @Insert(
      """
      insert into print_own (run_id, person_id, words)
      select #{id}, p.id, #{words} from offered.person p where p.id = #{personId}
      on conflict (run_id, person_id) do update set words = excluded.words
      """)
  int writeOwn(
      @Param("id") long id, @Param("personId") PersonId personId, @Param("words") String words);

  @Delete("delete from print_own where run_id = #{id} and person_id = #{personId}")
  int dropOwn(@Param("id") long id, @Param("personId") PersonId personId);

  /** Filters that ask for lists by name. */
  record StoredParts(long id, String parts) {}

  @Select(
      """
      select id, parts::text as parts
      from print_run
      where state = 'DRAFT' and jsonb_path_exists(parts, '$.**.field ? (@ == $field)',
                              jsonb_build_object('field', #{field}::text))
      order by id
      for update
      """)
  List<StoredParts> about(String field);

  @Update(
      """
      update print_run set parts = #{parts}::jsonb, version = version + 1 where id = #{id}
      """)
  int writeParts(StoredParts parts);

  @Update(
      """
      update print_run set posted_on = #{day}, posted_by = #{by}, version = version + 1
      where id = #{id} and state = 'PRINTED'
      """)
  int post(@Param("id") long id, @Param("day") LocalDate day, @Param("by") Long by);
}
