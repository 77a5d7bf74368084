package app.jemble.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.core.record.DayOrder;
import app.jemble.core.record.DayStyle;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.Related;
import app.jemble.core.record.YardFields;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What people type, and the sentence it is read as. The examples are common practice. */
public class TypedFilterTest {

  private static final FieldCatalogue FIELDS = YardFields.standard();

  /** A Wednesday. */
  private static final TypedHouse.Calendar CALENDAR =
      new TypedHouse.Calendar(LocalDate.of(2026, 11, 25), DayStyle.of(DayOrder.DAY_FIRST));

  private static final TypedHouse HOUSE = house(FIELDS, null);

  private static TypedHouse house(FieldCatalogue fields, Related subject) {
    return new TypedHouse(
        fields,
        subject,
        Map.of(
            "list", List.of(named("Choir"), named("Rowing on Sundays")),
            "tags", List.of(named("slipway"), named("donor")),
            "owner",
                List.of(
                    new TypedHouse.Named("Orla Finch", "orla"),
                    new TypedHouse.Named("Tomas Vale", "tomas")),
            "mailing", List.of(new TypedHouse.Named("Open day", "12"))),
        List.of(
            new TypedHouse.Kept(
                "Gone quiet",
                FilterSentenceReader.read("people whose last visit is empty", FIELDS))),
        CALENDAR);
  }

  private static TypedHouse.Named named(String name) {
    return new TypedHouse.Named(name, name);
  }

  /** What is typed, the sentence it is read as, and what is not understood. */
  private static final Object[][] TYPED = {
    {"members last visit before may", "members whose last visit is before 1 May 2026"},
    {"members", "members"},
    {"", "everyone"},
    {"members and leads", "members and leads"},
    {"contacts or leads", "contacts and leads"},
    {"members plan full", "members", "plan full"},
    {"members plan sail", "members whose plan is any of Sail"},
    {"members sail or oar", "members whose plan is any of Sail or Oar"},
    {"members plan not family", "members whose plan is none of Family"},
    {"plan fam", "people whose plan is any of Family"},
    {"lapsed members", "members whose membership status is any of lapsed"},
    {"in list choir", "people whose list has any of Choir"},
    {
      "list choir or list rowing on sundays",
      "people whose list has any of Choir or list has any of “Rowing on Sundays”"
    },
    {"members not in list choir", "members whose list has none of Choir"},
    {"tagged donor, slipway", "people whose tag has any of donor or slipway"},
    {"mine", "people whose owner is me"},
    {"leads owned by tomas vale", "leads whose owner is any of [tomas]"},
    {"members owner orl", "members whose owner is any of [orla]"},
    {"dues owed over 1,250.50", "people whose dues owed is more than 1250.5"},
    {"members who owe", "members", "owe"},
    {"members dues owed", "members whose dues owed is more than 0"},
    {"joined 2024", "people whose joined is between 1 January 2024 and 31 December 2024"},
    {"joined since march", "people whose joined is after 28 February 2026"},
    {"joined in june", "people whose joined is between 1 June 2026 and 30 June 2026"},
    {"renews before march", "people whose renews is before 1 March 2027"},
    {"renews in the next 3 weeks", "people whose renews is in the next 3 weeks"},
    {"last visit over a year ago", "people whose last visit is more than 12 months ago"},
    {"last visit in the last fortnight", "people whose last visit was in the last 2 weeks"},
    {"visited last week", "people whose last visit is last week"},
    {"visited in the last week", "people whose last visit was in the last 1 week"},
    {"last visit before", "everyone", "last visit before"},
    {"last visit never", "people whose last visit is empty"},
    {"visited this week", "people whose last visit is this week"},
    {"last visit 6.12.", "people whose last visit is on 6 December 2025"},
    {"birthday in may", "people whose birthday is in May of any year"},
    {"birthday this month", "people whose birthday is in this month of any year"},
    {"birthdays within 14 days", "people whose birthday comes round within 14 days"},
    {"members joined comes round in 2 weeks", "members whose joined comes round within 14 days"},
    {"place Lowen or Ternquay", "people whose place is one of Lowen or Ternquay"},
    {
      "place not Lowen or Ternquay", "people whose place is not “Lowen” and place is not “Ternquay”"
    },
    {"members place not lowen", "members whose place is not “lowen”"},
    {"place starts with lo or te", "people whose place starts with “lo” or place starts with “te”"},
    {"not members leads", "people whose kind is none of member and kind is any of lead"},
    {"members, members", "members"},
    {"lives in ternquay members", "members whose place contains “ternquay”"},
    {"number M-17, M-18 or M-19", "people whose number is one of M-17, M-18 or M-19"},
    {"members 4711", "members whose number is “4711”"},
    {"with phone", "people whose phone is filled"},
    {"no phone", "people whose phone is empty"},
    {"without a quote", "people who have no quote"},
    {
      "contacts with accepted quotes total over 500",
      "contacts who have a quote (stage is any of accepted and total is more than 500)"
    },
    {"members with at least 2 quotes", "members who have at least 2 quotes"},
    {"quotes Q-2001 Q-2002", "people who have a quote (number is one of Q-2001 or Q-2002)"},
    {
      "messages mailing open day opened no",
      "people who have a message (mailing is any of [12] and opened is no)"
    },
    {
      "office body is committee until empty",
      "people who have an office (body is “committee” and until is empty)"
    },
    {"app installed", "people whose app installed is yes"},
    {"not app installed", "people whose app installed is no"},
    {"introduced by me", "people who were introduced by me directly"},
    {"gone quiet", "people whose last visit is empty"},
    {"members gone quiet", "members for whom all of (last visit is empty)"},
    {"members wibble wobble plan sail", "members whose plan is any of Sail", "wibble wobble"},
    {"name “and or”", "people whose name contains “and or”"},
    {
      "members who have an office (name is any of Treasurer and until is empty)",
      "members who have an office (name is any of Treasurer and until is empty)"
    },
    {
      "office name is harbour steward until empty",
      "people who have an office (name is any of “Harbour steward” and until is empty)"
    },
    {
      "office group officers held today",
      "people who have an office (group is any of Officers and held today is yes)"
    },
  };

  @DataProvider
  public Object[][] typed() {
    return TYPED;
  }

  @Test(dataProvider = "typed")
  public void whatIsTypedIsReadAsASentence(Object[] row) {
    TypedFilter read = TypedFilter.read((String) row[0], HOUSE);
    assertThat(FilterSentence.of(read.filter())).isEqualTo(row[1]);
    assertThat(read.unknown()).isEqualTo(row.length > 2 ? List.of(row[2]) : List.of());
  }

  @Test
  public void recordsAreSoughtByTheirOwnFields() {
    TypedHouse quotes = house(FieldCatalogue.of(Related.QUOTE), Related.QUOTE);
    TypedFilter read = TypedFilter.read("open quotes sent last month total over 200 mine", quotes);
    assertThat(FilterSentence.of(read.filter()))
        .isEqualTo(
            "people whose stage is any of open and sent is last month and total is more than 200"
                + " and owner is me");
    assertThat(read.unknown()).isEmpty();
  }

  @Test
  public void everySentenceOfOursIsReadToItsTree() {
    List<String> words = List.of("ete %_", "O'", "a” and “b", "or", "САША", "Oar, Sail or x");
    RandomFilters trees = new RandomFilters(FIELDS, words, 20261127);
    for (int i = 0; i < 3000; i++) {
      Filter.Group tree = trees.next();
      String sentence = FilterSentence.of(tree);
      if (sentence.length() <= 500) {
        TypedFilter read = TypedFilter.read(sentence, HOUSE);
        assertThat(read.filter()).as(sentence).isEqualTo(tree);
        assertThat(read.unknown()).isEmpty();
      }
    }
  }

  /** Whatever is typed is read, and a word is used or said to be unknown. */
  @Test
  public void nothingThatIsTypedIsPassedOverInSilence() {
    String[] words =
        ("members plan sail not or and last visit before may over 3 weeks ago in list choir \" ( ,"
                + " no quote total 500 “ tag zzz 2024 number name is is between never at least")
            .split(" ");
    Random random = new Random(20261127);
    for (int i = 0; i < 5_000; i++) {
      StringBuilder typed = new StringBuilder("zebra");
      for (int n = random.nextInt(12); n > 0; n--) {
        typed.append(' ').append(words[random.nextInt(words.length)]);
      }
      TypedFilter read = TypedFilter.read(typed.toString(), HOUSE);
      assertThat(String.join(" ", read.unknown())).as(typed.toString()).startsWith("zebra");
      assertThat(FilterSentence.of(read.filter())).doesNotContain("zebra");
    }
  }

  @Test
  public void aDayBeyondTheCalendarIsNotUnderstood() {
    TypedFilter read = TypedFilter.read("members joined until 31 Dec 9999", HOUSE);
    assertThat(read.unknown()).contains("joined until");
    assertThat(FilterSentence.of(read.filter())).startsWith("members").doesNotContain("joined");
  }

  @Test
  public void aBookIsNotRead() {
    assertThatThrownBy(() -> TypedFilter.read("members ".repeat(100), HOUSE))
        .isInstanceOf(FilterException.class)
        .hasMessageContaining("500 letters");
  }
}
