package app.jemble.exchange;

import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ImportMapper {

  /** A row as it stands in the file. */
  record RawRow(int rowNo, List<String> cells) {}

  /** A row as values of fields, a JSON object. */
  record ReadRow(int rowNo, PersonId personId, String values) {}

  record Count(String outcome, long rows) {}

  /** A row that cannot be taken, and why. */
  record BadRow(int rowNo, String problem, List<String> cells) {}

  record PreviewRow(int rowNo, String outcome, String problem, PersonId personId, String values) {}

  @Select(
      value =
          """
          insert into import_run (file_name, form, encoding, delimiter, headers, row_count, created_at, by_id,
                                  state, touched_at)
          values (#{name}, #{form}, #{encoding}, #{delimiter}, '{}', 0, #{at}, #{by}, 'read', #{at})
          returning id
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long create(
      @Param("name") String name,
      @Param("form") String form,
      @Param("encoding") String encoding,
      @Param("delimiter") String delimiter,
      @Param("at") Instant at,
      @Param("by") long by);

  @Update("update import_run set headers = #{headers}, row_count = #{rows} where id = #{id}")
  int hasRows(
      @Param("id") long id, @Param("headers") List<String> headers, @Param("rows") int rows);

  @Select(
      """
      select r.id, r.file_name, r.form, r.encoding, r.delimiter, r.headers, r.row_count, r.by_id, r.state,
             r.choices::text as choices, r.done_rows, r.touched_at, r.trouble, r.batch_id,
             b.undone_at is not null as undone
      from import_run r
      left join offered.change_batch b on b.id = r.batch_id
      where r.id = #{id}
      """)
  ImportRun find(long id);

  /**
   * Takes the next step, if nobody else is taking one; a step that stood still may be taken again.
   */
  @Update(
      """
      update import_run
      set state = #{state}, choices = coalesce(#{choices}::jsonb, choices), done_rows = 0, trouble = '',
          touched_at = #{at}
      where id = #{id}
        and (state in ('read', 'checked', 'failed')
             or (state in ('checking', 'running') and touched_at < #{at}::timestamptz - interval '30 seconds'))
      """)
  int begin(
      @Param("id") long id,
      @Param("state") String state,
      @Param("choices") String choices,
      @Param("at") Instant at);

  @Update("update import_run set done_rows = #{rows}, touched_at = #{at} where id = #{id}")
  int progress(@Param("id") long id, @Param("rows") int rows, @Param("at") Instant at);

  @Update(
      """
      update import_run
      set state = #{state}, trouble = #{trouble}, batch_id = coalesce(#{batch}, batch_id), touched_at = #{at}
      where id = #{id}
      """)
  int end(
      @Param("id") long id,
      @Param("state") String state,
      @Param("trouble") String trouble,
      @Param("batch") Long batch,
      @Param("at") Instant at);

  @Select(
      """
      select row_no, cells from import_row
      where run_id = #{id} and row_no > #{after}
      order by row_no
      limit #{limit}
      """)
  List<RawRow> rawRows(@Param("id") long id, @Param("after") int after, @Param("limit") int limit);

  /** A sound row is of somebody new until a record is found. */
  @Update(
      """
      update import_row r
      set values = v.vals::jsonb, problem = v.problem, match_key = v.match_key, person_id = null,
          outcome = case when v.problem is null then 'new' else 'bad' end, note = v.note
      from unnest(#{rows}::bigint[], #{values}::text[], #{problems}::text[], #{notes}::text[],
                  #{keys}::text[])
        v (row_no, vals, problem, note, match_key)
      where r.run_id = #{id} and r.row_no = v.row_no
      """)
  int putValues(
      @Param("id") long id,
      @Param("rows") Long[] rows,
      @Param("values") List<String> values,
      @Param("problems") List<String> problems,
      @Param("notes") List<String> notes,
      @Param("keys") List<String> keys);

  @Update("analyze import_row (run_id, row_no, match_key, outcome)")
  int analyze();

  /** The second row of the same person in one file cannot be taken. */
  @Update(
      """
      update import_row r
      set problem = 'The same person as row ' || f.row_no || '.', outcome = 'bad'
      from (select match_key, min(row_no) as row_no
            from import_row where run_id = #{id} and outcome is distinct from 'bad'
            group by match_key having count(*) > 1) f
      where r.run_id = #{id} and r.match_key = f.match_key and r.row_no > f.row_no and r.outcome is distinct from 'bad'
      """)
  int refuseTwice(long id);

  /**
   * Whose record a row is; such a row is to be judged yet. A key begins with what it is: e for an
   * e-mail, n for a number, p for name and postcode.
   */
  @Update(
      """
      with found as (
        select r.row_no, min(p.id) as person, count(*) as people
        from import_row r
        join offered.person p on p.archived_at is null and p.email_key = substr(r.match_key, 3)
        where r.run_id = #{id} and r.outcome is distinct from 'bad' and r.match_key like 'e:%'
        group by r.row_no
        union all
        select r.row_no, min(p.id), count(*)
        from import_row r
        join offered.person p on p.archived_at is null and p.number = substr(r.match_key, 3)
        where r.run_id = #{id} and r.outcome is distinct from 'bad' and r.match_key like 'n:%'
        group by r.row_no
        union all
        select r.row_no, min(p.id), count(*)
        from import_row r
        join offered.person p on p.archived_at is null and p.name_key collate "C" = split_part(substr(r.match_key, 3), '|', 1) collate "C"
          and fold(replace(p.address_postcode, ' ', '')) = split_part(r.match_key, '|', 2)
        where r.run_id = #{id} and r.outcome is distinct from 'bad' and r.match_key like 'p:%'
        group by r.row_no
      )
      update import_row r
      set person_id = f.person,
          problem = case when f.people > 1 then f.people || ' people on record fit this row; merge them first.' end,
          outcome = case when f.people > 1 then 'bad' end
      from found f
      where r.run_id = #{id} and r.row_no = f.row_no
      """)
  int match(long id);

  /** A name in one piece that is the person's own already says nothing of how it is parted. */
  @Update(
      """
      update import_row r
      set values = r.values - 'first_name' - 'last_name'
      from offered.person p
      where r.run_id = #{id} and p.id = r.person_id and r.outcome is distinct from 'bad'
        and p.name = btrim(concat_ws(' ', r.values ->> 'first_name', r.values ->> 'last_name'))
      """)
  int keepNames(long id);

  /** A number belongs to one person. */
  @Update(
      """
      update import_row r
      set problem = 'Another person has the number ' || (r.values ->> 'number') || '.', outcome = 'bad'
      from offered.house_person p
      where r.run_id = #{id} and r.outcome is distinct from 'bad' and p.number = r.values ->> 'number'
        and p.id is distinct from r.person_id
      """)
  int refuseTakenNumbers(long id);

  @Update(
      """
      update import_row r
      set problem = 'The same number as row ' || f.row_no || '.', outcome = 'bad'
      from (select values ->> 'number' as number, min(row_no) as row_no
            from import_row where run_id = #{id} and outcome is distinct from 'bad' and jsonb_exists(values, 'number')
            group by 1 having count(*) > 1) f
      where r.run_id = #{id} and r.outcome is distinct from 'bad' and r.values ->> 'number' = f.number and r.row_no > f.row_no
      """)
  int refuseNumbersTwice(long id);

  @Update(
      """
      update import_row r
      set problem = concat_ws(' ', r.note, 'There is no plan, and a membership begins with its plan.'),
          outcome = 'bad'
      where r.run_id = #{id} and r.outcome is distinct from 'bad' and jsonb_exists_any(r.values, #{fields}) and not jsonb_exists(r.values, 'plan')
        and not exists (select from offered.membership m where m.person_id = r.person_id)
      """)
  int refuseWithoutPlan(@Param("id") long id, @Param("fields") List<String> fields);

  @Update(
      """
      update import_row r
      set problem = concat_ws(' ', r.note, #{label} || ' is required for every new person.'),
          outcome = 'bad'
      where r.run_id = #{id} and r.outcome is distinct from 'bad' and r.person_id is null and not jsonb_exists(r.values, #{field})
      """)
  int refuseWithout(
      @Param("id") long id, @Param("field") String field, @Param("label") String label);

  /** Rows of people on record that are not judged yet. */
  @Select(
      """
      select row_no, person_id, values::text as values
      from import_row
      where run_id = #{id} and outcome is null and row_no > #{after}
      order by row_no
      limit #{limit}
      """)
  List<ReadRow> unjudged(
      @Param("id") long id, @Param("after") int after, @Param("limit") int limit);

  @Update(
      """
      update import_row set outcome = #{outcome}
      where run_id = #{id} and row_no = any(#{rows})
      """)
  int mark(@Param("id") long id, @Param("rows") Long[] rows, @Param("outcome") String outcome);

  @Select("select outcome, count(*) as rows from import_row where run_id = #{id} group by outcome")
  List<Count> counts(long id);

  @Select(
      """
      select row_no, outcome, coalesce(problem, note) as problem, person_id, values::text as values
      from import_row
      where run_id = #{id} and (#{outcome}::text is null or outcome = #{outcome})
      order by outcome = 'bad' desc, note is not null desc, outcome = 'changed' desc, row_no
      limit 20
      """)
  List<PreviewRow> preview(@Param("id") long id, @Param("outcome") String outcome);

  @Select(
      """
      select row_no, problem, cells from import_row
      where run_id = #{id} and outcome = 'bad' and row_no > #{after}
      order by row_no
      limit #{limit}
      """)
  List<BadRow> bad(@Param("id") long id, @Param("after") int after, @Param("limit") int limit);

  /** Where a row does not say which kind of person it is, it is of the given kind. */
  @Select(
      """
      select row_no, person_id, (jsonb_build_object('kind', #{kind}::text) || values)::text as values
      from import_row
      where run_id = #{id} and outcome = 'new' and row_no > #{after}
      order by row_no
      limit #{limit}
      """)
  List<ReadRow> newRows(
      @Param("id") long id,
      @Param("kind") String kind,
      @Param("after") int after,
      @Param("limit") int limit);

  @Select(
      """
      select row_no, person_id, values::text as values
      from import_row
      where run_id = #{id} and outcome = 'changed' and row_no > #{after}
      order by row_no
      limit #{limit}
      """)
  List<ReadRow> changedRows(
      @Param("id") long id, @Param("after") int after, @Param("limit") int limit);

  @Select(
      """
      select person_id from import_row
      where run_id = #{id} and outcome in ('changed', 'same')
      """)
  List<PersonId> knownPeople(long id);

  @Delete(
      "delete from import_row where run_id in (select id from import_run where touched_at < #{before})")
  int forgetRows(@Param("before") Instant before);
}
