package app.jemble.demo;

import app.jemble.demo.DemoMailings.Reader;
import app.jemble.demo.DemoMailings.Sent;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** All that has left before the demo begins: mailings, and steps of series. */
@Component
class DemoPast {

  private static final ZoneId ZONE = ZoneId.of(DemoLoader.ZONE);

  private final DemoOpenEnds openEnds;
  private final DemoMailings mailings;
  private final DemoSeries series;
  private final DemoSignUps signUps;
  private final DemoDays days;
  private final JdbcClient sql;
  private final Clock clock;

  DemoPast(
      DemoOpenEnds openEnds,
      DemoMailings mailings,
      DemoSeries series,
      DemoSignUps signUps,
      DemoDays days,
      JdbcClient sql,
      Clock clock) {
    this.openEnds = openEnds;
    this.mailings = mailings;
    this.series = series;
    this.signUps = signUps;
    this.days = days;
    this.sql = sql;
    this.clock = clock;
  }

  void write(Connection connection, DemoSettings settings) throws SQLException {
    List<Reader> readers = readers();
    List<Sent> sent = new ArrayList<>(DemoMailings.sent(pastMailings(), readers, settings.seed()));
    if (settings.series()) {
      sent.addAll(series.add(readers, settings.seed()));
      signUps.add(settings.seed());
    }
    mailings.write(connection, sent, settings.seed(), clock.instant());
  }

  /** Notes who is where in the series, once their messages are there. */
  void enter(DemoSettings settings) {
    series.enter();
    if (settings.series()) {
      days.add();
    }
  }

  private List<DemoMailings.Past> pastMailings() {
    LocalDate today = clock.instant().atZone(ZONE).toLocalDate();
    List<DemoMailings.Past> past = new ArrayList<>();
    for (DemoTexts.Sent sent : DemoTexts.SENT) {
      Instant at =
          today
              .minusDays(sent.daysAgo())
              .atTime(LocalTime.of(sent.hour(), 0))
              .atZone(ZONE)
              .toInstant();
      long id = openEnds.addMailing(sent.name(), sent.subject(), sent.body(), sent.login(), at, at);
      past.add(new DemoMailings.Past(id, at));
    }
    return past;
  }

  private List<Reader> readers() {
    return sql.sql(
            """
            select p.id, p.name, p.first_name, m.plan, p.email
            from person p
            left join membership m on m.person_id = p.id
            where p.email is not null and p.email_valid and not p.asked_not and p.id <= 1500
              and not exists (select from do_not_write d where d.address_key = p.email_key)
            order by p.id
            """)
        .query(Reader.class)
        .list();
  }
}
