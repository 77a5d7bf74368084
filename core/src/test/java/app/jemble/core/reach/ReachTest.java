package app.jemble.core.reach;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.reach.Reach.Facts;
import org.testng.annotations.Test;

public class ReachTest {

  private static final String BEA = "bea@okonjo.example";

  @Test
  public void firstReasonThatHoldsIsTheOne() {
    assertThat(reach(null, true, true, true)).isEqualTo(Reach.NO_ADDRESS);
    assertThat(reach("  ", false, false, false)).isEqualTo(Reach.NO_ADDRESS);
    assertThat(reach("bea at okonjo", true, true, true)).isEqualTo(Reach.NOT_VALID);
    assertThat(reach(BEA, true, true, true)).isEqualTo(Reach.ASKED_NOT);
    assertThat(reach(BEA, false, true, true)).isEqualTo(Reach.LEFT_TOPIC);
    assertThat(reach(BEA, false, false, true)).isEqualTo(Reach.DO_NOT_WRITE);
    assertThat(reach(BEA, false, false, false)).isEqualTo(Reach.READY);
  }

  @Test
  public void sameAddressComesBeforeLeftOut() {
    assertThat(Reach.byEmail(new Facts(BEA, false, false, false, true, true)))
        .isEqualTo(Reach.SAME_ADDRESS);
    assertThat(Reach.byEmail(new Facts(BEA, false, false, false, false, true)))
        .isEqualTo(Reach.LEFT_OUT);
  }

  private static Reach reach(String address, boolean asked, boolean left, boolean doNotWrite) {
    return Reach.byEmail(new Facts(address, asked, left, doNotWrite, false, false));
  }
}
