package app.jemble.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.YardFields;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class FilterSentenceTest {

  /** With attributes whose labels are made of the sentence's own words. */
  private static final FieldCatalogue FIELDS =
      YardFields.standard()
          .plus(
              List.of(
                  attribute("berth", "Berth name", FieldType.TEXT),
                  attribute("visit", "Last visit is", FieldType.DAY),
                  attribute("not_a", "Not (a", FieldType.FLAG),
                  attribute("have", "Have a quote", FieldType.NUMBER),
                  attribute("plan_or", "Plan or stage", FieldType.TEXT)));

  private static Field attribute(String name, String label, FieldType type) {
    return new Field(name, label, type, List.of(), Set.of(FieldUse.FILTER));
  }

  @Test
  public void everySentenceReadsBackToItsTree() {
    List<String> words =
        List.of("ete %_", "O'", "a” and “b", "”", "or", "x and y", "САША", "(z)", "Oar, Sail or x");
    RandomFilters trees = new RandomFilters(FIELDS, words, 20261125);
    Set<String> sentences = new HashSet<>();
    for (int i = 0; i < 20_000; i++) {
      Filter.Group tree = trees.next();
      String sentence = FilterSentence.of(tree);
      assertThat(FilterSentenceReader.read(sentence, FIELDS)).as(sentence).isEqualTo(tree);
      sentences.add(sentence);
    }
    assertThat(sentences).hasSizeGreaterThan(18_000);
  }

  /** The finds that practitioners named, as they are said. */
  @DataProvider
  public Object[][] finds() {
    return new Object[][] {
      {"leads whose stage is any of talking or quoted"},
      {"members whose last visit is before 1 May 2025"},
      {"members whose joined is in this month of any year"},
      {"members whose dues owed is more than 0"},
      {"people whose tag has any of slipway"},
      {"members who have an office (name is any of Treasurer and until is empty)"},
      {"members who have an office (body is “Committee”)"},
      {"people who have an office (group is any of Officers and held today is yes)"},
      {"members whose joined is last month"},
      {"members whose joined is between 1 October 2026 and 31 October 2026"},
      {"contacts who have a quote (sent is this week and stage is any of open)"},
      {"people who were introduced by me directly"},
      {"people who were introduced by me within 3 steps"},
      {"people who have a message (mailing is any of [12] and opened is no)"},
      {"people who have a message (mailing is any of [12] and replied is no)"},
      {"people who have a task (due is today and done is no)"},
      {
        "members and leads whose birthday comes round within 7 days and who have no message (sent was"
            + " in the last 2 weeks)"
      },
      {
        "people whose owner is me and for whom (plan is any of Oar, Sail or Family or stage is any of"
            + " won) and who have at least 2 quotes"
      },
    };
  }

  @Test(dataProvider = "finds")
  public void aFindIsSaidInWordsThatAreReadBack(String sentence) {
    assertThat(FilterSentence.of(FilterSentenceReader.read(sentence, FIELDS))).isEqualTo(sentence);
  }

  @Test
  public void aReferenceIsSaidByItsNameAndReadByItsKey() {
    Filter.Group mine = FilterSentenceReader.read("people whose owner is any of [orla]", FIELDS);
    String said = FilterSentence.of(mine, (field, key) -> key.equals("orla") ? "Orla Finch" : null);
    assertThat(said).isEqualTo("people whose owner is any of “Orla Finch” [orla]");
    assertThat(FilterSentenceReader.read(said, FIELDS)).isEqualTo(mine);
  }

  @DataProvider
  public Object[][] nonsense() {
    return new Object[][] {
      {"", "ends too early"},
      {"sailors", "“sailors”"},
      {"members whose plan", "“plan”"},
      {"members whose plan is any of", "“plan is any of”"},
      {"members whose joined is on 31 February 2026", "31 February"},
      {"members whose (plan is empty", "ends too early"},
      {"people who have a boat", "“boat”"},
      {"everyone and more", "“ and more”"},
      {"people who have at least 5000 quotes", "at most 1000 quotes"},
    };
  }

  @Test(dataProvider = "nonsense")
  public void nonsenseIsShownWhereItBegins(String sentence, String hint) {
    assertThatThrownBy(() -> FilterSentenceReader.read(sentence, FIELDS))
        .isInstanceOf(FilterException.class)
        .hasMessageContaining(hint);
  }
}
