package app.jemble.demo;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Random;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** A sign-up page of the harbour, and who has come by it so far. */
@Component
class DemoSignUps {

  private static final ZoneId ZONE = ZoneId.of(DemoLoader.ZONE);
  private static final int DAYS = 24;

  private static final String WORDS =
      """
      {"en": {"title": "Try a boat this spring",
              "intro": "Two hours on the water with somebody who knows it. Leave your address, and\
       we tell you when.",
              "consent": "Yes, write to me about trial sails. I can leave again by the link in any\
       mail.",
              "thanks": "You are on the list. The first letter is on its way.",
              "subject": "", "mail": ""},
       "de": {"title": "Im Frühling ein Boot ausprobieren",
              "intro": "Zwei Stunden auf dem Wasser mit jemandem, der es kennt. Lassen Sie uns Ihre\
       Adresse da, und wir sagen Ihnen, wann.",
              "consent": "Ja, schreiben Sie mir über Probefahrten. Ich kann mich mit dem Link in\
       jeder Mail wieder abmelden.",
              "thanks": "Sie stehen auf der Liste. Der erste Brief ist unterwegs.",
              "subject": "", "mail": ""}}
      """;

  private final JdbcClient sql;
  private final Clock clock;

  DemoSignUps(JdbcClient sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  void add(long seed) {
    Random random = new Random(seed);
    long page = page();
    List<Long> people =
        sql.sql(
                """
                select id from person
                where kind = 'lead' and email is not null and last_name is not null
                order by id limit 40
                """)
            .query(Long.class)
            .list();
    LocalDate today = clock.instant().atZone(ZONE).toLocalDate();
    int at = 0;
    for (int ago = DAYS; ago > 0; ago--) {
      int confirmed = Math.min(random.nextInt(3), people.size() - at);
      int asked = confirmed + random.nextInt(2);
      int began = asked + random.nextInt(3);
      int saw = began * 2 + random.nextInt(9);
      sql.sql("insert into sign_up_day values (?, ?, ?, ?, ?, ?)")
          .params(page, today.minusDays(ago), saw, began, asked, confirmed)
          .update();
      for (int i = 0; i < confirmed; i++) {
        confirmed(page, people.get(at), at, random);
        at++;
      }
    }
  }

  private long page() {
    return sql.sql(
            """
            insert into sign_up_page
              (key, name, asks, topics, words, languages, kind, source, tag, owner_id, series_id,
               tell_id, created_at, created_by)
            select 'trial-sail', 'Trial sail',
                   '[{"field": "first_name", "required": true},
                     {"field": "last_name", "required": false},
                     {"field": "phone", "required": false}]',
                   array(select id from topic order by id limit 2), ?::jsonb, '{en,de}', 'lead',
                   'trial sail page', 'trial sail', a.id,
                   (select id from series where name = 'Welcome to the harbour'), a.id, ?, a.id
            from account a where a.login = 'orla'
            returning id
            """)
        .params(WORDS, Timestamp.from(clock.instant().minus(Duration.ofDays(DAYS))))
        .query(Long.class)
        .single();
  }

  /** Every ninth said another last name than the one on record, and waits for a look. */
  private void confirmed(long page, long person, int at, Random random) {
    Instant asked =
        clock.instant().minus(Duration.ofHours(DAYS * 24L - at * 12L + random.nextInt(9)));
    sql.sql(
            """
            insert into sign_up
              (page_id, token, address, said, topics, language, consent, consent_version, asked_at,
               asked_from, mail, mailed_at, confirmed_at, confirmed_from, person_id, was_known,
               differs, told_at)
            select :page, 'demo' || p.id, p.email, '{}', '{}', 'en',
                   'Yes, write to me about trial sails. I can leave again by the link in any mail.',
                   1, :asked, :origin, 'left', :asked, :confirmed, :origin, p.id, :known,
                   case when :known
                        then jsonb_build_object('last_name', p.last_name || '-Vane')
                        else '{}' end,
                   :confirmed
            from person p where p.id = :person
            """)
        .param("page", page)
        .param("asked", Timestamp.from(asked))
        .param("confirmed", Timestamp.from(asked.plusSeconds(90 + random.nextInt(4000))))
        .param("origin", "203.0.113." + random.nextInt(250))
        .param("known", at % 9 == 4)
        .param("person", person)
        .update();
  }
}
