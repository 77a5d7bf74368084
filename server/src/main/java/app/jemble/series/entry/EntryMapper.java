package app.jemble.series.entry;

import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.ResponseKind;
import app.jemble.series.entry.PeopleOfSeries.Somebody;
import java.time.Instant;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface EntryMapper {

  /**
   * Somebody's way through a series, as it is looked at.
   *
   * @param turn which time they came in, from 0 on
   * @param passedStepId the last step that they had or were passed over by, or null
   * @param passedAt when that was; without one, when they came in
   * @param stoodStill seconds for which their wait stood still since
   * @param heldUntil nothing leaves to them before it, or null
   */
  record Entry(
      long id,
      PersonId personId,
      int turn,
      Long passedStepId,
      Instant passedAt,
      double stoodStill,
      Instant heldUntil) {}

  /** Active series in which somebody is to be looked at. */
  @Select(
      """
      select s.id
      from offered.series s
      where s.is_active
        and exists (select from series_entry e
                    where e.series_id = s.id and e.state = 'in' and e.look_at <= #{now})
      order by s.id
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Long> toLookAt(Instant now);

  /** Entries to be looked at that nobody else has in hand, locked until the transaction ends. */
  @Select(
      """
      select id, person_id, turn, passed_step_id, passed_at,
             extract(epoch from stood_still)::float8 as stood_still, held_until
      from series_entry
      where series_id = #{series} and state = 'in' and look_at <= #{now}
      order by look_at
      limit #{most}
      for no key update skip locked
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Entry> claim(
      @Param("series") long series, @Param("now") Instant now, @Param("most") int most);

  /**
   * The message of the step that an entry is past.
   *
   * @param sentAt null while it has not left
   * @param waits whether it still is to leave
   */
  record LastMessage(long entryId, MessageId messageId, Instant sentAt, boolean waits) {}

  @Select(
      """
      select e.id as entry_id, m.id as message_id, m.sent_at, m.to_depart as waits
      from series_entry e
      join series_pass p on p.entry_id = e.id and p.step_id = e.passed_step_id
      join offered.message m on m.id = p.message_id
      where e.id = any(#{entries})
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<LastMessage> lastMessages(@Param("entries") Long[] entries);

  /** The last message that an entry got, of whatever step. */
  record Got(long entryId, MessageId messageId) {}

  @Select(
      """
      select distinct on (p.entry_id) p.entry_id, p.message_id
      from series_pass p
      join offered.message m on m.id = p.message_id
      where p.entry_id = any(#{entries}) and m.is_sent
      order by p.entry_id, m.sent_at desc, m.id desc
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Got> lastGot(@Param("entries") Long[] entries);

  /** What came back to the messages of an entry. */
  record Came(long entryId, String kind) {}

  @Select(
      """
      select distinct p.entry_id, r.kind
      from series_pass p
      join offered.response r on r.message_id = p.message_id
      where p.entry_id = any(#{entries})
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Came> came(@Param("entries") Long[] entries);

  /** By entry, the kinds of what came back; those to whom nothing did are not among them. */
  default Map<Long, Set<ResponseKind>> kinds(Long[] entries) {
    Map<Long, Set<ResponseKind>> kinds = new HashMap<>();
    for (Came one : came(entries)) {
      kinds
          .computeIfAbsent(one.entryId(), id -> EnumSet.noneOf(ResponseKind.class))
          .add(ResponseKind.valueOf(one.kind()));
    }
    return kinds;
  }

  /** Somebody's latest entry, however it stands; null where they never came in. */
  @Select(
      """
      select id, person_id, turn, passed_step_id, passed_at,
             extract(epoch from stood_still)::float8 as stood_still, held_until
      from series_entry
      where series_id = #{series} and person_id = #{person}
      order by turn desc
      limit 1
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Entry latest(@Param("series") long series, @Param("person") PersonId person);

  /** The same, locked until the transaction ends; nothing when they are not in it. */
  @Select(
      """
      select id, person_id, turn, passed_step_id, passed_at,
             extract(epoch from stood_still)::float8 as stood_still, held_until
      from series_entry
      where series_id = #{series} and person_id = #{person} and state = 'in'
      for no key update
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  Entry lockOf(@Param("series") long series, @Param("person") PersonId person);

  /**
   * A step that an entry is past.
   *
   * @param messageState null where there was no message
   */
  record PastStep(
      long stepId,
      Instant at,
      String why,
      String messageState,
      boolean sent,
      boolean waits,
      Instant sentAt,
      String reason,
      String standing) {}

  @Select(
      """
      select p.step_id, p.at, p.why, m.shown_state as message_state,
             coalesce(m.is_sent, false) as sent, coalesce(m.to_depart, false) as waits,
             m.sent_at, m.reason, m.standing
      from series_pass p
      left join offered.message m on m.id = p.message_id
      where p.entry_id = #{entry}
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<PastStep> past(long entry);

  /** The steps that entries are not to get. */
  record Skipped(long entryId, long stepId) {}

  @Select("select entry_id, step_id from series_skip where entry_id = any(#{entries})")
  List<Skipped> skipped(@Param("entries") Long[] entries);

  @Update(
      """
      update series_entry e
      set look_at = to_timestamp(n.seconds)
      from unnest(#{entries}::bigint[], #{seconds}::bigint[]) as n (id, seconds)
      where e.id = n.id
      """)
  int lookAgain(@Param("entries") Long[] entries, @Param("seconds") Long[] seconds);

  /** Notes messages that were put in the outbox for a step. */
  @Insert(
      """
      insert into series_pass (entry_id, step_id, at, message_id)
      select e.id, #{step}, #{at}, m.id
      from series_entry e
      join offered.message m
        on m.cause_id = #{cause} and m.person_id = e.person_id and m.record_id = e.turn
      where e.id = any(#{entries})
      """)
  int left(
      @Param("step") long step,
      @Param("cause") long cause,
      @Param("entries") Long[] entries,
      @Param("at") Instant at);

  /** Notes that entries are past a step without a message, and why. */
  @Insert(
      """
      insert into series_pass (entry_id, step_id, at, why)
      select n.id, #{step}, #{at}, n.why
      from unnest(#{entries}::bigint[], #{why}::text[]) as n (id, why)
      """)
  int passed(
      @Param("step") long step,
      @Param("entries") Long[] entries,
      @Param("why") List<String> why,
      @Param("at") Instant at);

  /** Entries are past a step; each is looked at again at its instant. */
  @Update(
      """
      update series_entry e
      set passed_step_id = #{step}, passed_at = #{at}, stood_still = '0',
          look_at = greatest(#{at}, to_timestamp(n.seconds))
      from unnest(#{entries}::bigint[], #{again}::bigint[]) as n (id, seconds)
      where e.id = n.id
      """)
  int goOn(
      @Param("step") long step,
      @Param("entries") Long[] entries,
      @Param("again") Long[] again,
      @Param("at") Instant at);

  /** Those of these who are still in it are past the last step. */
  @Update(
      """
      update series_entry
      set state = 'finished', look_at = null, ended_at = #{at}
      where id = any(#{entries}) and state = 'in'
      """)
  int finish(@Param("entries") Long[] entries, @Param("at") Instant at);

  @Update(
      """
      update series_entry e
      set state = case when n.why = '' then 'finished' else 'ended' end, look_at = null,
          ended_at = #{at}, ended_why = n.why
      from unnest(#{entries}::bigint[], #{why}::text[]) as n (id, why)
      where e.id = n.id
      """)
  int end(
      @Param("entries") Long[] entries, @Param("why") List<String> why, @Param("at") Instant at);

  /** Everyone who is in it is looked at soon: what was reckoned for them may have changed. */
  @Update(
      """
      update public.series_entry set look_at = #{now}
      where series_id = #{series} and state = 'in' and look_at > #{now}
      """)
  int lookAtAll(@Param("series") long series, @Param("now") Instant now);

  /** The waits of everyone stood still for so long. */
  @Update(
      """
      update public.series_entry
      set stood_still = stood_still + make_interval(secs => #{seconds}), look_at = #{now}
      where series_id = #{series} and state = 'in'
        -- What has not departed begins their wait when it does.
        and not exists (select from public.series_pass p join offered.house_message m on m.id = p.message_id
                        where p.entry_id = series_entry.id and p.step_id = series_entry.passed_step_id
                          and m.sent_at is null)
      """)
  int putOff(
      @Param("series") long series, @Param("seconds") double seconds, @Param("now") Instant now);

  /** Whoever had finished waits for what was put at the end. */
  @Update(
      """
      update public.series_entry
      set state = 'in', ended_at = null, look_at = #{now}
      where series_id = #{series} and state = 'finished'
        and not exists (select from public.series_entry o
                        where o.series_id = series_entry.series_id
                          and o.person_id = series_entry.person_id and o.turn > series_entry.turn)
      """)
  int goOnAfterEnd(@Param("series") long series, @Param("now") Instant now);

  /** Whoever finished since an instant without a step waits for it. */
  @Update(
      """
      update public.series_entry
      set state = 'in', ended_at = null, look_at = #{now}
      where series_id = #{series} and state = 'finished' and ended_at >= #{since}
        and not exists (select from public.series_pass p
                        where p.entry_id = series_entry.id and p.step_id = #{step})
        and not exists (select from public.series_entry o
                        where o.series_id = series_entry.series_id
                          and o.person_id = series_entry.person_id and o.turn > series_entry.turn)
      """)
  int goOnWithout(
      @Param("series") long series,
      @Param("step") long step,
      @Param("since") Instant since,
      @Param("now") Instant now);

  /** Somebody to whom a message of a step is about to leave. */
  record Leaving(long entryId, PersonId personId, boolean ended, String endedWhy) {}

  @Select(
      """
      select distinct on (e.person_id) e.id as entry_id, e.person_id,
             e.state = 'ended' as ended, e.ended_why
      from series_entry e
      where e.series_id = #{series} and e.person_id = any(#{people})
      order by e.person_id, e.turn desc
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Leaving> leaving(@Param("series") long series, @Param("people") PersonId[] people);

  @Update(
      """
      update public.series_entry
      set state = 'ended', ended_at = #{at}, ended_why = #{why}, look_at = null
      where series_id = #{series} and state = 'in'
      """)
  int endAll(@Param("series") long series, @Param("why") String why, @Param("at") Instant at);

  @Update(
      """
      update series_entry
      set held_until = #{until}, look_at = #{now}
      where series_id = #{series} and person_id = #{person} and state = 'in'
      """)
  int hold(
      @Param("series") long series,
      @Param("person") PersonId person,
      @Param("until") Instant until,
      @Param("now") Instant now);

  @Insert(
      """
      insert into series_skip (entry_id, step_id)
      select e.id, s.id
      from series_entry e
      join offered.series_step s on s.series_id = e.series_id
      where e.series_id = #{series} and e.person_id = #{person} and e.state = 'in'
        and s.id = #{step}
        and not exists (select from series_pass p where p.entry_id = e.id and p.step_id = s.id)
      on conflict (entry_id, step_id) do update set step_id = excluded.step_id
      """)
  int skip(
      @Param("series") long series, @Param("person") PersonId person, @Param("step") long step);

  /** They get it after all, as long as they are not past it. */
  @Delete(
      """
      delete from series_skip k
      using series_entry e
      where e.id = k.entry_id and e.series_id = #{series} and e.person_id = #{person}
        and e.state = 'in' and k.step_id = #{step}
        and not exists (select from series_pass p where p.entry_id = e.id and p.step_id = k.step_id)
      """)
  int skipNot(
      @Param("series") long series, @Param("person") PersonId person, @Param("step") long step);

  @Select(
      """
      select e.id as entry_id, e.person_id, p.name, upper(e.state) as state, e.came_by, e.entered_at,
             e.passed_step_id, e.passed_at, e.held_until, e.ended_at, e.ended_why,
             (select o.why from series_pass o
              where o.entry_id = e.id and o.step_id = #{w.passedOverBy}) as passed_over_why
      from series_entry e
      join offered.person p on p.id = e.person_id
      where e.series_id = #{series}
        and (#{w.state}::text is null or e.state = lower(#{w.state}))
        and (#{w.past}::bigint[] is null or coalesce(e.passed_step_id, 0) = any(#{w.past}))
        and (#{w.passedOverBy}::bigint is null
             or exists (select from series_pass o
                        where o.entry_id = e.id and o.step_id = #{w.passedOverBy}
                          and o.message_id is null))
        and (#{w.person}::bigint is null or e.person_id = #{w.person})
        and (#{after} = 0 or (e.person_id, e.turn)
                           > (select a.person_id, a.turn from series_entry a where a.id = #{after}))
      order by e.person_id, e.turn
      limit #{most}
      """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  List<Somebody> people(
      @Param("series") long series,
      @Param("w") PeopleOfSeries.Stored which,
      @Param("after") long after,
      @Param("most") int most);
}
