package app.jemble.occasion;

import app.jemble.core.occasion.TurnState;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface OccasionMapper {

  String SELECT =
      """
      select id, cause_id, name, field, kind, offset_days, to_json(rounds)::text as rounds,
             whom::text as whom, said_at, leaves, card::text as card,
             upper(state) as state, version
      from occasion
      """;

  @Select(SELECT + "order by lower(name), id")
  List<StandingMailing> all();

  @Select(SELECT + "where id = #{id}")
  StandingMailing find(long id);

  /** The same, neither changed nor paused until the transaction ends. */
  @Select(SELECT + "where id = #{id} for share")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  StandingMailing held(long id);

  @Select(SELECT + "where id = #{id} for no key update")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  StandingMailing lock(long id);

  @Select(SELECT + "where cause_id = #{cause}")
  StandingMailing ofCause(long cause);

  @Select("select id from occasion where state = 'active' order by id")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Long> active();

  @Select(
      affectData = true,
      value =
          """
          insert into occasion
            (cause_id, name, field, kind, offset_days, rounds, whom, said_at, leaves, card,
             created_at)
          values
            (#{m.causeId}, #{m.name}, #{m.field}, #{m.kind}, #{m.offsetDays},
             array(select json_array_elements_text(#{m.rounds}::json)::int), #{m.whom}::jsonb,
             #{m.saidAt}, #{m.leaves}, #{m.card}::jsonb, #{at})
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long create(@Param("m") StandingMailing mailing, @Param("at") Instant at);

  /** Nothing when it is not of the version that was seen. */
  @Update(
      """
      update occasion
      set name = #{name}, field = #{field}, kind = #{kind}, offset_days = #{offsetDays},
          rounds = array(select json_array_elements_text(#{rounds}::json)::int),
          whom = #{whom}::jsonb, said_at = #{saidAt}, leaves = #{leaves},
          card = #{card}::jsonb, version = version + 1
      where id = #{id} and version = #{version}
      """)
  int save(StandingMailing mailing);

  /** For whom an occasion is, as it is stored. */
  record StoredWhom(long id, String parts) {}

  @Select(
      affectData = true,
      value =
          """
          select id, whom::text as parts
          from occasion
          where jsonb_path_exists(whom, '$.**.field ? (@ == $field)',
                                  jsonb_build_object('field', #{field}::text))
          order by id
          for update
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<StoredWhom> about(String field);

  @Update("update occasion set whom = #{parts}::jsonb, version = version + 1 where id = #{id}")
  int writeWhom(StoredWhom whom);

  @Update("update occasion set state = lower(#{state}), version = version + 1 where id = #{id}")
  void become(@Param("id") long id, @Param("state") StandingMailing.State state);

  /**
   * One time that it comes round to somebody.
   *
   * @param late how often a colleague has sent it after its day
   */
  record TurnRow(
      long id,
      long occasionId,
      PersonId personId,
      LocalDate day,
      int years,
      LocalDate saidOn,
      TurnState state,
      int late) {}

  /**
   * Those that are new come in; those whose day was changed before anything left follow it.
   *
   * @return who is new
   */
  @Select(
      affectData = true,
      value =
          """
      insert into occasion_turn (occasion_id, person_id, day, years, said_on, state)
      select #{occasion}, t.person, t.day::date, t.years, t.said::date, #{state}
      from unnest(#{people}::bigint[], #{days}::text[], #{years}::int[], #{said}::text[])
        t (person, day, years, said)
      on conflict (occasion_id, person_id, year) do update
      set day = excluded.day, years = excluded.years, said_on = excluded.said_on
      where occasion_turn.state in ('AWAITS', 'NODDED') and occasion_turn.day <> excluded.day
      returning case when xmax = 0 then person_id end
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<PersonId> come(
      @Param("occasion") long occasion,
      @Param("people") PersonId[] people,
      @Param("days") String[] days,
      @Param("years") Integer[] years,
      @Param("said") String[] said,
      @Param("state") TurnState state);

  /** Whose day was taken away, or who is not meant any more, before anything was said. */
  @Delete(
      """
      delete from occasion_turn
      where occasion_id = #{occasion} and state in ('AWAITS', 'NODDED') and said_on >= #{from}
        and not person_id = any (#{people}::bigint[])
      """)
  void goAgain(
      @Param("occasion") long occasion,
      @Param("from") LocalDate from,
      @Param("people") PersonId[] people);

  String TURN =
      "select id, occasion_id, person_id, day, years, said_on, state, late from occasion_turn ";

  /** Those on whom something may be to do by a day, for this process alone. */
  @Select(
      TURN
          + """
            where occasion_id = #{occasion} and state in ('AWAITS', 'NODDED') and said_on <= #{by}
              and (said_on, id) > (#{after.saidOn}, #{after.id})
            order by said_on, id
            limit #{most}
            for update skip locked
            """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<TurnRow> claim(
      @Param("occasion") long occasion,
      @Param("by") LocalDate by,
      @Param("after") Place after,
      @Param("most") int most);

  /** Where a look at the turns has come to. */
  record Place(LocalDate saidOn, long id) {}

  /** How it leaves was changed: what no colleague has decided on follows that. */
  @Update(
      """
      update public.occasion_turn set state = #{state}
      where occasion_id = #{occasion} and state in ('AWAITS', 'NODDED') and decided_by is null
      """)
  void follow(@Param("occasion") long occasion, @Param("state") TurnState state);

  @Select(TURN + "where id = any (#{ids}) order by id for update")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<TurnRow> lockTurns(Long[] ids);

  @Update("update occasion_turn set late = late + 1 where id = any (#{ids})")
  void late(Long[] ids);

  @Update("update occasion_turn set state = #{state}, reason = #{reason} where id = any (#{ids})")
  void turn(
      @Param("ids") Long[] ids, @Param("state") TurnState state, @Param("reason") String reason);

  @Update(
      """
      update occasion_turn set state = #{state}, decided_by = #{by}, decided_at = #{at}
      where id = any (#{ids}) and state = any (#{from})
      """)
  int decide(
      @Param("ids") Long[] ids,
      @Param("from") String[] from,
      @Param("state") TurnState state,
      @Param("by") long by,
      @Param("at") Instant at);

  /** A turn as colleagues see it. */
  record Shown(
      long id,
      long occasionId,
      long causeId,
      String occasion,
      PersonId personId,
      String name,
      LocalDate day,
      int years,
      LocalDate saidOn,
      OccasionBody.Leaves leaves,
      TurnState state,
      String reason,
      Instant lastVisit,
      Instant lastHeard,
      boolean ownWords) {}

  /** What is to be said by a day, and what was missed since another; the latest miss first. */
  @Select(
      """
      select t.id, t.occasion_id, o.cause_id, o.name as occasion, t.person_id, p.name, t.day,
             t.years, t.said_on, o.leaves, t.state, t.reason, p.last_visit_at as last_visit,
             (select max(r.at) from offered.response r
              where r.person_id = t.person_id and r.is_reply) as last_heard,
             exists (select from offered.own_wording w
                     where w.cause_id = o.cause_id and w.person_id = t.person_id) as own_words
      from occasion_turn t
      join occasion o on o.id = t.occasion_id
      join offered.person p on p.id = t.person_id
      where o.state <> 'draft'
        and ((t.state in ('AWAITS', 'NODDED', 'TASK') and t.said_on between #{from} and #{by})
             or (t.state = 'SENT' and t.said_on = #{from})
             or (t.state = 'MISSED' and t.said_on >= #{missedSince}))
      order by t.state = 'MISSED' desc, t.said_on, lower(p.name), t.id
      limit #{most}
      """)
  List<Shown> shown(
      @Param("from") LocalDate from,
      @Param("by") LocalDate by,
      @Param("missedSince") LocalDate missedSince,
      @Param("most") int most);

  /** How many turns of each state a standing mailing has. */
  record Counted(long occasionId, TurnState state, long turns) {}

  @Select(
      "select occasion_id, state, count(*) as turns from occasion_turn group by 1, 2 order by 1, 2")
  List<Counted> counts();

  /** Of each of these people the last turn that was decided on or has left. */
  @Select(
      """
      select distinct on (person_id)
             id, occasion_id, person_id, day, years, said_on, state, late
      from occasion_turn
      where occasion_id = #{occasion} and person_id = any (#{people}::bigint[])
        and state not in ('AWAITS', 'NODDED')
      order by person_id, day desc
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<TurnRow> last(@Param("occasion") long occasion, @Param("people") PersonId[] people);

  /** What was stopped in the outbox is missed, for the reason that stopped it. */
  @Update(
      """
      update occasion_turn t
      set state = 'MISSED', reason = m.reason
      from occasion o, offered.message m
      where o.id = #{occasion} and t.occasion_id = o.id and t.state = 'SENT'
        and t.said_on >= #{since}
        and m.cause_id = o.cause_id and m.person_id = t.person_id
        and m.record_id = t.year + t.late * #{apart} and m.is_withdrawn
      """)
  int stopped(
      @Param("occasion") long occasion,
      @Param("since") LocalDate since,
      @Param("apart") long apart);
}
