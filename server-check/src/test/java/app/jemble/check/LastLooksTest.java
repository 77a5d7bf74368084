package app.jemble.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.check.LastLooks.Looked;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** The looks that are kept are those of last use. */
public class LastLooksTest {

  private static Looked mailing(long id) {
    return new Looked(id, "everybody");
  }

  private static Checked of(int version) {
    return new Checked(version, List.of(), List.of(), Map.of(), null, List.of(), null, null, null);
  }

  @Test
  public void theLatestIsThereHoweverOftenOthersWereAskedFor() {
    LastLooks looks = new LastLooks(2);
    looks.put(mailing(1), of(1));
    looks.put(mailing(2), of(1));
    for (int i = 0; i < 50; i++) {
      looks.get(mailing(2));
      looks.get(mailing(1));
    }
    looks.put(mailing(3), of(1));
    assertThat(looks.get(mailing(3))).isNotNull();
    assertThat(looks.get(mailing(1))).isNotNull();
    assertThat(looks.get(mailing(2))).as("asked for before the others").isNull();
  }

  @Test
  public void whatMoreWasFoundOfOlderWordsIsNotKept() {
    LastLooks looks = new LastLooks(2);
    looks.keep(mailing(1), of(1));
    assertThat(looks.get(mailing(1))).as("nobody has looked").isNull();
    looks.put(mailing(1), of(2));
    Checked older = of(1);
    looks.keep(mailing(1), older);
    assertThat(looks.get(mailing(1))).isNotSameAs(older);
    Checked more = of(2);
    looks.keep(mailing(1), more);
    assertThat(looks.get(mailing(1))).isSameAs(more);
  }
}
