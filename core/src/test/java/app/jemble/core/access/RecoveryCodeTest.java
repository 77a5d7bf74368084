package app.jemble.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.Test;

public class RecoveryCodeTest {

  @Test
  public void itIsSixGroupsOfFourHoweverItIsTyped() {
    Random random = new Random(3);
    Set<String> codes = new HashSet<>();
    for (int i = 0; i < 1000; i++) {
      byte[] octets = new byte[RecoveryCode.OCTETS];
      random.nextBytes(octets);
      String code = RecoveryCode.of(octets);
      assertThat(code).matches("([a-z2-7]{4}-){5}[a-z2-7]{4}");
      codes.add(code);
      String typed = " " + code.replace("-", " ").toUpperCase(Locale.ROOT);
      assertThat(RecoveryCode.isOne(typed)).isTrue();
      assertThat(RecoveryCode.hash(typed)).isEqualTo(RecoveryCode.hash(code)).hasSize(32);
      assertThat(RecoveryCode.hash(code.substring(1))).isNotEqualTo(RecoveryCode.hash(code));
    }
    assertThat(codes).hasSize(1000);
  }

  @Test
  public void theDigitsOfAnAppAreNone() {
    assertThat(Arrays.asList("123456", "123 456", "", null)).noneMatch(RecoveryCode::isOne);
  }
}
