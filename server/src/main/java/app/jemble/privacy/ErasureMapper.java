package app.jemble.privacy;

import app.jemble.core.record.PersonId;
import app.jemble.storage.Sql;
import app.jemble.storage.SqlLanguage;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Lang;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What is to be known of somebody before they are erased, and that they were. */
@Mapper
interface ErasureMapper {

  /** A record and those that became part of it; none when it was erased. */
  @Select(
      """
      with recursive theirs as (
        select id from offered.person where id = #{person} and erased_at is null
        union
        select p.id from offered.person p join theirs t on p.merged_into = t.id
      )
      select id from theirs order by id
      """)
  List<PersonId> records(PersonId person);

  @Select("select merged_into from offered.person where id = #{person}")
  PersonId mergedInto(PersonId person);

  /** Something by which a person can be known: what it is, and the value now or earlier. */
  record Trace(String field, String value) {}

  /** Values now and as they were, addresses at which they were written to, and names then. */
  @Select(
      """
      select field, value
      from offered.person p
      cross join lateral (values ('first_name', p.first_name), ('last_name', p.last_name),
                                 ('email', p.email), ('phone', p.phone),
                                 ('picture', p.picture_key)) v (field, value)
      where p.id = any(#{people}) and value is not null
      union
      select c.field, v.value
      from offered.change c
      cross join lateral (values (c.before #>> '{}'), (c.after #>> '{}')) v (value)
      where c.person_id = any(#{people}) and v.value is not null
        and c.field in ('first_name', 'last_name', 'email', 'phone', 'picture')
      union
      select 'address', m.address from offered.message m
      where m.person_id = any(#{people}) and m.channel <> 'POST'
      union
      select 'recipient', m.recipient from offered.message m where m.person_id = any(#{people})
      union
      select 'address', d.address_key from offered.device d where d.person_id = any(#{people})
      """)
  List<Trace> traces(@Param("people") PersonId[] people);

  /** Of some addresses, as they are compared, those that others on record have too. */
  @Select(
      """
      select distinct k.key
      from unnest(#{keys}::text[]) k (key)
      where exists (select from offered.person p
                    where p.email_key = k.key and p.id <> all(#{people}) and p.erased_at is null)
         or exists (select from offered.person p
                    where p.phone_key = k.key and p.id <> all(#{people}) and p.erased_at is null)
      """)
  List<String> sharedAddresses(
      @Param("keys") List<String> keys, @Param("people") PersonId[] people);

  /** Of some names those that others on record have too. */
  @Select(
      """
      select distinct n.name
      from unnest(#{names}::text[]) n (name)
      where exists (select from offered.person p
                    where p.name_key = fold(n.name) and p.id <> all(#{people})
                      and p.erased_at is null)
      """)
  List<String> sharedNames(@Param("names") List<String> names, @Param("people") PersonId[] people);

  /** Who was erased while a message to them was being written. */
  @Select(
      """
      select distinct p.id
      from offered.person p
      join offered.message m on m.person_id = p.id
      where p.erased_at is not null and m.address <> ''
      """)
  List<PersonId> leftBehind();

  /** What was written to them and to nobody else, and drafts for them alone. */
  @Select(
      """
      select c.id
      from offered.cause c
      where (c.is_mailing or c.is_answer)
        and c.id in (select m.cause_id from offered.message m where m.person_id = any(#{people}))
        and not exists (select from offered.message m
                        where m.cause_id = c.id and m.person_id <> all(#{people}))
      union
      select c.id
      from offered.cause c
      join offered.audience a on a.mailing_id = c.id
      where c.is_draft and not a.has_parts and not a.has_records
        and a.picks && #{people} and a.picks <@ #{people}
      """)
  List<Long> causes(@Param("people") PersonId[] people);

  /**
   * Whether they ever said that they do not want to be written to, of whatever, on whichever way.
   */
  @Select(
      """
      select exists (select from offered.person where id = any(#{people}) and asked_not)
          or exists (select from offered.not_on_way where person_id = any(#{people}))
      """)
  boolean asked(@Param("people") PersonId[] people);

  @Select(
      "select email_key from offered.person where id = any(#{people}) and email_key is not null"
          + " union"
          + " select phone_key from offered.person where id = any(#{people}) and phone_key is not null")
  List<String> currentAddresses(@Param("people") PersonId[] people);

  @Lang(SqlLanguage.class)
  @Select(SqlLanguage.GIVEN)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  boolean ask(Sql question);

  @Lang(SqlLanguage.class)
  @Update(SqlLanguage.GIVEN)
  int run(Sql statement);

  /** That somebody was erased. */
  record Row(
      long id,
      PersonId personId,
      Instant at,
      String by,
      LocalDate askedOn,
      int marked,
      String figures) {}

  @Select(
      value =
          """
          insert into erasure (person_id, at, by_id, asked_on, marked, figures)
          values (#{person}, #{at}, #{by}::bigint, #{askedOn}::date, #{marked}, #{figures}::jsonb)
          returning id
          """,
      affectData = true)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long note(
      @Param("person") PersonId person,
      @Param("at") Instant at,
      @Param("by") Long by,
      @Param("askedOn") LocalDate askedOn,
      @Param("marked") int marked,
      @Param("figures") String figures);

  String SELECT =
      """
      select e.id, e.person_id, e.at, coalesce(a.name, 'the house, since they were archived long ago') as by, e.asked_on, e.marked, e.figures::text as figures
      from erasure e
      left join offered.account a on a.id = e.by_id
      """;

  @Select(SELECT + "where e.id = #{id}")
  Row find(long id);

  @Select(SELECT + "order by e.id desc limit #{most}")
  List<Row> latest(int most);
}
