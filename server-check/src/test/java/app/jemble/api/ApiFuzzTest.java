package app.jemble.api;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;

/** {@code ./jemble bench fuzz} makes a hundred thousand calls. */
public class ApiFuzzTest extends ServerTest {

  private static final int CALLS = Integer.getInteger("jemble.fuzz.calls", 3_000);

  /** An answer that was begun and not ended. */
  private static final int BROKEN_OFF = 599;

  private static final long SEED = Long.getLong("jemble.fuzz.seed", 20261127L);

  @Override
  protected int people() {
    return 60;
  }

  @Test(timeOut = 1_200_000)
  public void noCallIsAnswered500() {
    String before = ApiFuzz.untouchable(sql);
    List<Api> colleagues = new ArrayList<>();
    for (String login : List.of("orla", "orla", "tomas", "wilma", "wilma", "reed")) {
      Api colleague = new Api("http://127.0.0.1:" + port);
      colleague.signIn(login, "lowen-quay");
      colleagues.add(colleague);
    }
    colleagues.add(new Api("http://127.0.0.1:" + port));
    ApiFuzz fuzz = new ApiFuzz(SEED);
    List<String> wrong = new ArrayList<>();
    for (int i = 0; i < CALLS; i++) {
      int status;
      try {
        status = fuzz.next(colleagues);
      } catch (IllegalStateException brokenOff) {
        status = BROKEN_OFF;
      }
      if (status >= 500) {
        wrong.add(status + " " + fuzz.asked());
      }
    }
    assertThat(String.join("\n", wrong)).isEmpty();
    assertThat(ApiFuzz.untouchable(sql)).isEqualTo(before);
  }
}
