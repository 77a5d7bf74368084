package app.jemble.audience;

import app.jemble.core.record.PersonId;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The records that mailings are about, each person's newest first. */
@Mapper
interface RecordMapper {

  /** A quote. */
  record QuoteRow(
      long id,
      PersonId personId,
      String number,
      String title,
      BigDecimal total,
      String currency,
      LocalDate sentOn,
      LocalDate validUntil) {}

  @Select(
      """
      select id, person_id, number, title, total, currency, sent_on, valid_until
      from offered.quote
      where id = any(#{ids})
      order by person_id, sent_on desc nulls last, id desc
      """)
  List<QuoteRow> quotes(@Param("ids") Long[] ids);

  /** A task. */
  record TaskRow(long id, PersonId personId, String title, LocalDate dueOn) {}

  @Select(
      """
      select id, person_id, title, due_on
      from offered.task
      where id = any(#{ids}) and person_id is not null
      order by person_id, created_at desc, id desc
      """)
  List<TaskRow> tasks(@Param("ids") Long[] ids);

  /** Somebody's part in an event. */
  record EventRow(
      long id, PersonId personId, String name, Instant startsAt, String place, String link) {}

  @Select(
      """
      select a.id, a.person_id, e.name, e.starts_at, e.place, e.link
      from offered.attendance a
      join offered.event e on e.id = a.event_id
      where a.id = any(#{ids})
      order by a.person_id, e.starts_at desc, a.id desc
      """)
  List<EventRow> events(@Param("ids") Long[] ids);
}
