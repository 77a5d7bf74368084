package app.jemble.signup;

import app.jemble.core.record.PersonId;
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
interface SignUpMapper {

  String SELECT =
      """
      select id, page_id, token, address, said::text as said, to_json(topics)::text as topics,
             to_json(ways)::text as ways, language, asked_at, confirmed_at, person_id, was_known, differs::text as differs, settled_at
      from sign_up
      """;

  /** A new sign-up; the words of consent are kept as the reader saw them. */
  record NewSignUp(
      long pageId,
      String token,
      String address,
      String said,
      Long[] topics,
      List<String> ways,
      String language,
      String consent,
      int consentVersion,
      Instant at,
      String from) {}

  @Insert(
      """
      insert into sign_up
        (page_id, token, address, said, topics, ways, language, consent, consent_version, asked_at,
         asked_from)
      values
        (#{pageId}, #{token}, #{address}, #{said}::jsonb, #{topics}, #{ways}, #{language}, #{consent},
         #{consentVersion}, #{at}, #{from})
      """)
  void add(NewSignUp signUp);

  /** The next whose mail is to leave, for this process alone until the transaction ends. */
  @Select(SELECT + "where mail = 'to_leave' order by id limit 1 for update skip locked")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  SignUp nextToMail();

  /** Others with the same address wait until this transaction ends. */
  @Select(
      """
      select true
      from (select pg_advisory_xact_lock(
              hashtextextended('sign-up ' || lower(btrim(#{address})), 0))) locked
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  boolean lockAddress(String address);

  /** Whether an address is to have no confirmation now: it had one since, or wants none at all. */
  @Select(
      """
      select exists (
               select from sign_up o
               where o.address_key = lower(btrim(#{address})) and o.mail = 'left'
                 and o.mailed_at > #{since})
          or exists (
               select from offered.do_not_write d
               where d.address_key = lower(btrim(#{address})) and d.reason = 'complaint')
      """)
  boolean isQuiet(@Param("address") String address, @Param("since") Instant since);

  @Update("update sign_up set mail = 'not_due' where id = #{id}")
  void notDue(long id);

  @Update("update sign_up set mail = 'left', mailed_at = #{at} where id = #{id}")
  void left(@Param("id") long id, @Param("at") Instant at);

  /** It did not leave after all. */
  @Update("update sign_up set mail = 'to_leave', mailed_at = null where id = #{id}")
  void didNotLeave(long id);

  @Select(SELECT + "where token = #{token}")
  SignUp byToken(String token);

  @Select(SELECT + "where token = #{token} for update")
  SignUp lockByToken(String token);

  @Select(SELECT + "where id = #{id} for update")
  SignUp lock(long id);

  /** Who has an address on record: of several who share it, who has been there longest. */
  @Select(
      """
      select id from offered.person
      where email_key = lower(btrim(#{address})) and archived_at is null and merged_into is null
      order by id
      limit 1
      """)
  PersonId personWith(String address);

  @Update(
      """
      update sign_up
      set confirmed_at = #{at}, confirmed_from = #{from}, person_id = #{person},
          was_known = #{known}, differs = #{differs}::jsonb
      where id = #{id}
      """)
  void confirmed(
      @Param("id") long id,
      @Param("at") Instant at,
      @Param("from") String from,
      @Param("person") PersonId person,
      @Param("known") boolean known,
      @Param("differs") String differs);

  @Update("update sign_up set settled_at = #{at} where id = #{id}")
  void settled(@Param("id") long id, @Param("at") Instant at);

  /** Somebody who signed up, as colleagues see it. */
  record Shown(
      long id,
      long pageId,
      String page,
      PersonId personId,
      String name,
      String address,
      Instant askedAt,
      String askedFrom,
      Instant confirmedAt,
      String confirmedFrom,
      boolean wasKnown,
      String consent,
      int consentVersion,
      String differs,
      boolean awaitsLook) {}

  String SHOWN =
      """
      select s.id, s.page_id, g.name as page, s.person_id, p.name, s.address, s.asked_at,
             s.asked_from, s.confirmed_at, s.confirmed_from, s.was_known, s.consent,
             s.consent_version, s.differs::text as differs,
             s.differs <> '{}' and s.settled_at is null as awaits_look
      from sign_up s
      join sign_up_page g on g.id = s.page_id
      join offered.person p on p.id = s.person_id
      """;

  /** Of a page, who confirmed: those that await a look first, then the latest. */
  @Select(
      SHOWN
          + """
            where s.page_id = #{page} and s.confirmed_at is not null
            order by (s.differs <> '{}' and s.settled_at is null) desc, s.confirmed_at desc, s.id
            limit #{most}
            """)
  List<Shown> ofPage(@Param("page") long page, @Param("most") int most);

  @Select(SHOWN + "where s.person_id = #{person} order by s.confirmed_at desc, s.id")
  List<Shown> ofPerson(PersonId person);

  /** The next of whom a colleague is to be told. */
  @Select(
      """
      update sign_up set told_at = #{at}
      where id = (
        select s.id
        from sign_up s join sign_up_page g on g.id = s.page_id
        where s.confirmed_at is not null and s.told_at is null and g.tell_id is not null
        order by s.id limit 1 for update of s skip locked)
      returning id
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Long nextToTell(Instant at);

  @Update("update sign_up set told_at = null where id = #{id}")
  void notTold(long id);

  @Select(SHOWN + "where s.id = #{id}")
  Shown shown(long id);

  /** What was never confirmed is nobody's any more. */
  @Delete("delete from sign_up where confirmed_at is null and asked_at < #{before}")
  int forget(Instant before);
}
