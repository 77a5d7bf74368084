package app.jemble.core.reach;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.reach.Reach.Facts;
import java.util.stream.Stream;
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
  public void sameAddressComesAfterWhatHoldsForTheAddressAndBeforeLeftOut() {
    assertThat(Reach.by(Channel.EMAIL, new Facts(BEA, false, false, true, true, true)))
        .isEqualTo(Reach.DO_NOT_WRITE);
    assertThat(Reach.by(Channel.EMAIL, new Facts(BEA, false, true, false, true, true)))
        .isEqualTo(Reach.LEFT_TOPIC);
    assertThat(Reach.by(Channel.EMAIL, new Facts(BEA, false, false, false, true, true)))
        .isEqualTo(Reach.SAME_ADDRESS);
    assertThat(Reach.by(Channel.EMAIL, new Facts(BEA, false, false, false, false, true)))
        .isEqualTo(Reach.LEFT_OUT);
  }

  @Test
  public void eachChannelJudgesItsOwnAddress() {
    assertThat(by(Channel.TEXT, "+44 7700 900123")).isEqualTo(Reach.READY);
    assertThat(by(Channel.TEXT, "07700 900123")).as("no country").isEqualTo(Reach.NOT_VALID);
    assertThat(by(Channel.TEXT, null)).isEqualTo(Reach.NO_ADDRESS);
    assertThat(by(Channel.APP, "installed")).isEqualTo(Reach.READY);
    assertThat(by(Channel.APP, null)).isEqualTo(Reach.NO_ADDRESS);
    assertThat(by(Channel.POST, "1 Quay Road, Lowen Quay")).isEqualTo(Reach.READY);
    assertThat(by(Channel.EMAIL, "1 Quay Road")).isEqualTo(Reach.NOT_VALID);
    assertThat(Reach.by(Channel.POST, new Facts("1 Quay Road", true, false, false, false, false)))
        .isEqualTo(Reach.ASKED_NOT);
  }

  /** An address is of one channel, whatever stands in it, and reads back from where it is kept. */
  @Test
  public void anAddressIsOfOneChannel() {
    assertThat(new Address.Email("x").channel()).isEqualTo(Channel.EMAIL);
    assertThat(new Address.Phone("x").channel()).isEqualTo(Channel.TEXT);
    assertThat(new Address.Device("x").channel()).isEqualTo(Channel.APP);
    assertThat(new Address.Postal("x").channel()).isEqualTo(Channel.POST);
    for (Channel channel : Channel.values()) {
      Address address = Address.of(channel, "where");
      assertThat(address.channel()).isEqualTo(channel);
      assertThat(address.stored()).isEqualTo("where");
    }
  }

  @Test
  public void channelsAndReasonsAreSaidInWordsOfTheirOwn() {
    assertThat(Stream.of(Channel.values()).map(Channel::words))
        .doesNotHaveDuplicates()
        .allMatch(w -> w.length() > 2);
    assertThat(Stream.of(Reach.values()).map(Reach::words)).doesNotHaveDuplicates();
    assertThat(Reach.LEFT_TOPIC.words()).isEqualTo("left this topic");
  }

  private static Reach by(Channel channel, String address) {
    return Reach.by(channel, new Facts(address, false, false, false, false, false));
  }

  private static Reach reach(String address, boolean asked, boolean left, boolean doNotWrite) {
    return Reach.by(Channel.EMAIL, new Facts(address, asked, left, doNotWrite, false, false));
  }
}
