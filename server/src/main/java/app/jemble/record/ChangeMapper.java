package app.jemble.record;

import app.jemble.core.record.PersonId;
import app.jemble.storage.Sql;
import app.jemble.storage.SqlLanguage;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Lang;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ChangeMapper {

  /**
   * A change as the history tells it; values are JSON.
   *
   * @param byId the colleague, null when it was the person themself
   * @param words of the act it belongs to
   */
  record ChangeRow(
      long id,
      long batchId,
      String field,
      String before,
      String after,
      Instant at,
      Long byId,
      String by,
      String words,
      boolean undone) {}

  /** An act that can be taken back, or has been. */
  record BatchRow(long id, String words, Long byId, Instant undoneAt) {}

  @Select(
      value =
          """
          insert into change_batch (at, by_id, words, address)
          values (#{at}, #{by}, #{words}, #{address})
          returning id
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long begin(
      @Param("at") Instant at,
      @Param("by") Long by,
      @Param("words") String words,
      @Param("address") String address);

  @Update("update change_batch set words = #{words} where id = #{id}")
  int name(@Param("id") long id, @Param("words") String words);

  @Select("select count(*) from person where id = any(#{people}) and asked_not")
  long askedNot(@Param("people") PersonId[] people);

  @Insert(
      """
      insert into organisation (name, added_by)
      select distinct given.name, #{batch}::bigint from unnest(#{names}::text[]) given (name)
      where not exists (select from organisation o where o.name = given.name)
      """)
  int addOrganisations(@Param("batch") long batch, @Param("names") List<String> names);

  /** Those that came with an act and have nobody. */
  @Delete(
      """
      delete from organisation o
      where o.added_by = #{batch} and not exists (select from public.person where organisation_id = o.id)
      """)
  int dropOrganisations(long batch);

  /** Carries out what {@link ChangeSql} says; answers how many changed. */
  @Lang(SqlLanguage.class)
  @Select(value = SqlLanguage.GIVEN, affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long change(Sql act);

  @Lang(SqlLanguage.class)
  @Select(value = SqlLanguage.GIVEN, affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<PersonId> add(Sql act);

  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  List<PersonId> differing(Sql question);

  @Lang(SqlLanguage.class)
  @Update(SqlLanguage.GIVEN)
  int setBack(Sql undo);

  /** Something done to people that is not one of their fields, such as being put on a list. */
  @Insert(
      """
      insert into change (batch_id, person_id, field, before, after)
      select #{batch}, p, #{field}, #{before}::jsonb, #{after}::jsonb
      from unnest(#{people}::bigint[]) p
      """)
  int note(
      @Param("batch") long batch,
      @Param("people") PersonId[] people,
      @Param("field") String field,
      @Param("before") String before,
      @Param("after") String after);

  @Insert(
      """
      insert into change (batch_id, person_id, field, after)
      select #{batch}, person, #{field}, to_jsonb(made)
      from unnest(#{people}::bigint[], #{made}::bigint[]) each (person, made)
      """)
  int noteEach(
      @Param("batch") long batch,
      @Param("people") PersonId[] people,
      @Param("field") String field,
      @Param("made") Long[] made);

  @Select(
      """
      select person_id, before::text as before, after::text as after
      from change
      where batch_id = #{batch} and field = #{field}
      order by id
      """)
  List<Undoing.Noted> noted(@Param("batch") long batch, @Param("field") String field);

  @Select("select id, words, by_id, undone_at from change_batch where id = #{id} for update")
  BatchRow lockBatch(long id);

  @Select("select distinct field from change where batch_id = #{batch} order by field")
  List<String> fieldsOf(long batch);

  @Update("update change_batch set undone_at = #{at}, undone_by = #{by} where id = #{id}")
  int undone(@Param("id") long id, @Param("at") Instant at, @Param("by") Long by);

  @Select("select count(distinct person_id) from change where batch_id = #{batch}")
  long peopleOf(long batch);

  @Select(
      """
      select c.id, c.batch_id, c.field, c.before::text as before, c.after::text as after, b.at,
             b.by_id, coalesce(a.name, 'the person themself') as by, b.words, b.undone_at is not null as undone
      from change c
      join change_batch b on b.id = c.batch_id
      left join offered.account a on a.id = b.by_id
      where c.person_id = #{person} and c.id > #{since}
      order by c.id desc
      limit 200
      """)
  List<ChangeRow> history(@Param("person") PersonId person, @Param("since") long since);

  @Select("select id from person where id = #{id} for update")
  PersonId lockPerson(PersonId id);

  /** In one order, so that no two acts wait for each other. */
  @Select("select id from person where id = any(#{people}) order by id for update")
  List<PersonId> lockEach(PersonId[] people);

  @Select("select coalesce(max(id), 0) from change where person_id = #{person}")
  long version(PersonId person);

  /** Those who had none. */
  @Select(
      value =
          """
          insert into membership (person_id, plan, status, joined_on)
          select person, #{plan}, #{status}, #{joinedOn}
          from unnest(#{people}::bigint[]) person
          on conflict do nothing
          returning person_id
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<PersonId> beginMemberships(
      @Param("people") PersonId[] people,
      @Param("plan") String plan,
      @Param("status") String status,
      @Param("joinedOn") LocalDate joinedOn);

  @Update("delete from membership where person_id = any(#{people})")
  int endMemberships(@Param("people") PersonId[] people);

  /** Whose values of these fields an act changed. */
  @Select(
      """
      select distinct person_id
      from change
      where batch_id = #{batch} and field = any(#{fields}::text[])
      """)
  List<PersonId> changedIn(@Param("batch") long batch, @Param("fields") List<String> fields);

  /** An address and whose it is; the key is what it is compared by. */
  record Address(PersonId id, String address, String key) {}

  @Select(
      """
      select id, email as address, email_key as key
      from person
      where email is not null and id = any(#{people})
      """)
  List<Address> mailboxes(@Param("people") PersonId[] people);

  @Update(
      "update person set email_valid = #{valid} where id = any(#{people}) and email_valid <> #{valid}")
  int setValid(@Param("people") PersonId[] people, @Param("valid") boolean valid);

  @Select(
      """
      select id, phone_key as address, phone_key as key
      from person
      where phone_key is not null and id = any(#{people})
      """)
  List<Address> phones(@Param("people") PersonId[] people);

  @Update(
      "update person set phone_valid = #{valid} where id = any(#{people}) and phone_valid <> #{valid}")
  int setPhoneValid(@Param("people") PersonId[] people, @Param("valid") boolean valid);
}
