package app.jemble.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.OptionalLong;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Codes against the worked examples of RFC 6238, appendix B, and RFC 4226, appendix D. */
public class SecondFactorTest {

  private static final byte[] SECRET = "12345678901234567890".getBytes(StandardCharsets.US_ASCII);

  /** RFC 6238, appendix B, rows of SHA1: the last six of its eight digits. */
  @DataProvider
  public Object[][] appendixB() {
    return new Object[][] {
      {59L, "287082"},
      {1_111_111_109L, "081804"},
      {1_111_111_111L, "050471"},
      {1_234_567_890L, "005924"},
      {2_000_000_000L, "279037"},
      {20_000_000_000L, "353130"},
    };
  }

  @Test(dataProvider = "appendixB")
  public void theStandardsCodesAreGood(long second, String code) {
    Instant then = Instant.ofEpochSecond(second);
    assertThat(SecondFactor.stepOf(SECRET, code, then, 0)).hasValue(second / 30);
    assertThat(SecondFactor.stepOf(SECRET, code.substring(0, 3) + " " + code.substring(3), then, 0))
        .isPresent();
  }

  /** RFC 4226, appendix D: the counts 0 to 9. */
  @Test
  public void theCountsOfTheStandardAreItsSteps() {
    String[] codes = {
      "755224", "287082", "359152", "969429", "338314", "254676", "287922", "162583", "399871",
      "520489"
    };
    for (int step = 0; step < codes.length; step++) {
      assertThat(SecondFactor.codeOf(SECRET, step)).isEqualTo(codes[step]);
    }
  }

  @Test
  public void aCodeIsGoodForOneStepBeforeAndAfterAndOnce() {
    long step = 40_000_000;
    String code = SecondFactor.codeOf(SECRET, step);
    Instant now = Instant.ofEpochSecond(step * 30);
    assertThat(SecondFactor.stepOf(SECRET, code, now.minusSeconds(30), 0)).hasValue(step);
    assertThat(SecondFactor.stepOf(SECRET, code, now.plusSeconds(59), 0)).hasValue(step);
    assertThat(SecondFactor.stepOf(SECRET, code, now.plusSeconds(60), 0)).isEmpty();
    assertThat(SecondFactor.stepOf(SECRET, code, now.minusSeconds(31), 0)).isEmpty();
    assertThat(SecondFactor.stepOf(SECRET, code, now, step)).as("used").isEmpty();
    assertThat(SecondFactor.stepOf(SECRET, code, now, step - 1)).hasValue(step);
  }

  @Test
  public void whatIsNoCodeIsNotGood() {
    for (String none : new String[] {null, "", "287", "2870821", "28708a", "２８７０８２"}) {
      assertThat(SecondFactor.stepOf(SECRET, none, Instant.ofEpochSecond(59), 0))
          .isEqualTo(OptionalLong.empty());
    }
  }

  @Test
  public void itsSecretIsTypedOrRead() {
    // RFC 4648, section 10.
    assertThat(SecondFactor.typed("foobar".getBytes(StandardCharsets.US_ASCII)))
        .isEqualTo("MZXW6YTBOI");
    assertThat(SecondFactor.uri("Lowen & Quay: boats", "orla+1", SECRET))
        .isEqualTo(
            "otpauth://totp/Lowen%20%26%20Quay%3A%20boats:orla%2B1"
                + "?secret=GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ&issuer=Lowen%20%26%20Quay%3A%20boats");
  }
}
