package app.jemble.demo;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import java.util.List;
import org.testng.annotations.Test;

/** The boatyard: dirty as real records are, and never a real address. */
public class DemoSeedTest extends ServerTest {

  @Override
  protected int people() {
    return 1500;
  }

  private long count(String question) {
    return sql.sql("select count(*) from " + question).query(Long.class).single();
  }

  @Test
  public void everybodyIsMadeUpAndOutOfReachOfRealMail() {
    List<String> domains =
        sql.sql("select distinct split_part(email, '@', 2) from person where email is not null")
            .query(String.class)
            .list();
    assertThat(domains)
        .filteredOn(d -> d.contains("."))
        .allMatch(d -> d.endsWith(".example") || d.endsWith(".test"));
    assertThat(count("person where phone is not null and phone !~ '^\\+44 7700 900[0-9]{3}$'"))
        .isZero();
  }

  @Test
  public void recordsHaveTheDirtOfRealLife() {
    assertThat(count("person")).as("three colleagues among them").isEqualTo(1503);
    assertThat(count("person where first_name = upper(first_name) and first_name ~ '[A-Z]{3}'"))
        .isPositive();
    assertThat(count("person where first_name is null")).isPositive();
    assertThat(count("person where email is null")).isPositive();
    assertThat(count("person where not email_valid")).isPositive();
    assertThat(count("person where first_name ~ '[^\\u0000-\\u024f]'")).isPositive();
    assertThat(count("(select email_key from person group by 1 having count(*) > 1) d"))
        .isPositive();
    assertThat(count("(select distinct time_zone from person) z")).isGreaterThanOrEqualTo(9);
  }

  @Test
  public void noScreenIsEmpty() {
    assertThat(count("message where state = 'waiting'")).isPositive();
    assertThat(count("message where state = 'in_doubt'")).isEqualTo(2);
    assertThat(count("message where state = 'refused'")).isEqualTo(1);
    assertThat(count("cause where state = 'draft' and kind = 'MAILING'")).isEqualTo(2);
    assertThat(count("template")).isPositive();
    assertThat(count("(select distinct kind from response) k")).isGreaterThanOrEqualTo(6);
    assertThat(count("message s join sent_copies c on c.id = s.copies_id where s.state = 'sent'"))
        .isEqualTo(count("message where state = 'sent'"));
  }

  @Test
  public void theSameSeedGivesTheSamePeople() {
    String fingerprint =
        "select md5(string_agg(concat_ws('|', id, kind, first_name, last_name, email, tags), ',' order by id)) from person";
    String here = sql.sql(fingerprint).query(String.class).single();
    SecondDemo second = new SecondDemo();
    second.startAll();
    try {
      assertThat(second.ask(fingerprint)).isEqualTo(here);
    } finally {
      second.stopAll();
    }
  }

  /** Another database, filled anew. */
  private static final class SecondDemo extends ServerTest {
    @Override
    protected int people() {
      return 1500;
    }

    String ask(String question) {
      return sql.sql(question).query(String.class).single();
    }
  }
}
