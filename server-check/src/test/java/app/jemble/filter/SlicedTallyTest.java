package app.jemble.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.ServerTest;
import app.jemble.core.filter.AsOf;
import app.jemble.core.filter.Operator;
import app.jemble.filter.FilterBody.ConditionBody;
import java.io.IOException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Counting in slices, with ids so far apart that there are many of them. */
public class SlicedTallyTest extends ServerTest {

  private static final FilterBody NAMED =
      FilterBody.all(List.of(new ConditionBody("first_name", Operator.CONTAINS, List.of("slice"))));

  private SlicedTally sliced;
  private ListService lists;
  private AsOf asOf;

  @BeforeClass(dependsOnMethods = "startAll")
  public void peopleFarApart() {
    sliced = application.getBean(SlicedTally.class);
    lists = application.getBean(ListService.class);
    asOf = new AsOf(clock.instant(), ZoneId.of("Europe/London"));
    sql.sql(
            """
            insert into person (id, kind, first_name, email, created_at)
            select n * 7919, 'contact', case when n % 3 = 0 then 'Slice' else 'Other' end,
                   case when n % 2 = 0 then 'p' || n || '@quay.example' end, now()
            from generate_series(0, 60) n
            """)
        .update();
  }

  private List<SlicedTally.Progress> count(FilterBody filter) throws IOException {
    List<SlicedTally.Progress> told = new ArrayList<>();
    sliced.count(filter, ListService.Which.ALL, asOf, told::add);
    return told;
  }

  @Test
  public void theSumOfTheSlicesIsTheCount() throws IOException {
    List<SlicedTally.Progress> told = count(NAMED);
    assertThat(told).hasSizeGreaterThan(5);
    assertThat(told.get(told.size() - 1).isDone()).isTrue();
    assertThat(told.subList(0, told.size() - 1)).noneMatch(SlicedTally.Progress::isDone);
    assertThat(told.get(told.size() - 1).parts())
        .isEqualTo(lists.tally(null, NAMED, ListService.Which.ALL, asOf));
  }

  @Test
  public void whatIsToldNeverGoesBack() throws IOException {
    long before = -1;
    long people = -1;
    for (SlicedTally.Progress so : count(NAMED)) {
      long now = so.parts().values().stream().mapToLong(Long::longValue).sum();
      assertThat(so.looked()).isGreaterThan(before);
      assertThat(now).isGreaterThanOrEqualTo(people);
      before = so.looked();
      people = now;
    }
  }

  @Test
  public void whoeverStopsListeningEndsIt() {
    List<SlicedTally.Progress> told = new ArrayList<>();
    assertThatThrownBy(
            () ->
                sliced.count(
                    NAMED,
                    ListService.Which.ALL,
                    asOf,
                    so -> {
                      told.add(so);
                      if (told.size() == 2) {
                        throw new IOException("gone");
                      }
                    }))
        .isInstanceOf(IOException.class);
    assertThat(told).hasSize(2);
  }

  @Test
  public void aQuestionThatAnIndexAnswersIsCountedInOneGo() throws IOException {
    FilterBody kind =
        FilterBody.all(List.of(new ConditionBody("kind", Operator.ANY_OF, List.of("contact"))));
    assertThat(count(kind)).hasSize(1);
    assertThat(count(FilterBody.EVERYONE)).hasSize(1);
  }
}
