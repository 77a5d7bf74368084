package app.jemble.core.reach;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;

/** One message a person, on the first way that reaches them. */
public class WaysTest {

  private static final Ways APP_TEXT_MAIL =
      new Ways(List.of(Channel.APP, Channel.TEXT, Channel.EMAIL));

  @Test
  public void theFirstThatReachesIsTaken() {
    Ways.Found found =
        APP_TEXT_MAIL.first(way -> way == Channel.APP ? Reach.NO_ADDRESS : Reach.READY);
    assertThat(found.channel()).isEqualTo(Channel.TEXT);
    assertThat(found.isReady()).isTrue();
    assertThat(found.before()).containsExactly(new Ways.Shut(Channel.APP, Reach.NO_ADDRESS));
  }

  @Test
  public void whoIsReachedOnNoneKeepsTheReasonOfTheLast() {
    Map<Channel, Reach> reaches =
        Map.of(
            Channel.APP, Reach.NO_ADDRESS,
            Channel.TEXT, Reach.LEFT_TOPIC,
            Channel.EMAIL, Reach.DO_NOT_WRITE);
    Ways.Found found = APP_TEXT_MAIL.first(reaches::get);
    assertThat(found.channel()).isEqualTo(Channel.EMAIL);
    assertThat(found.reach()).isEqualTo(Reach.DO_NOT_WRITE);
    assertThat(found.before())
        .containsExactly(
            new Ways.Shut(Channel.APP, Reach.NO_ADDRESS),
            new Ways.Shut(Channel.TEXT, Reach.LEFT_TOPIC));
  }

  @Test
  public void afterAWayThatClosedTheOnesBeforeItAreNotAskedAgain() {
    Ways.Shut text = new Ways.Shut(Channel.TEXT, Reach.LEFT_TOPIC);
    List<Channel> asked = new ArrayList<>();
    Ways.Found next =
        APP_TEXT_MAIL.after(
            text,
            way -> {
              asked.add(way);
              return Reach.READY;
            });
    assertThat(next.channel()).isEqualTo(Channel.EMAIL);
    assertThat(asked).containsExactly(Channel.EMAIL);
    Ways.Shut mail = new Ways.Shut(Channel.EMAIL, Reach.DO_NOT_WRITE);
    assertThat(APP_TEXT_MAIL.after(mail, way -> Reach.READY).reach()).isEqualTo(Reach.DO_NOT_WRITE);
  }

  @Test
  public void aWayStandsOnceAndThereIsOne() {
    assertThatThrownBy(() -> new Ways(List.of())).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Ways(List.of(Channel.TEXT, Channel.TEXT)))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** Over random people and ways: each counted once, none on a way that is shut or comes later. */
  @Test
  public void countsByWayAndReasonAddUp() {
    Random random = new Random(18);
    for (int round = 0; round < 2_000; round++) {
      List<Channel> channels = new ArrayList<>(Arrays.asList(Channel.values()));
      Collections.shuffle(channels, random);
      Ways ways = new Ways(channels.subList(0, 1 + random.nextInt(channels.size())));
      Map<Channel, Integer> reached = new EnumMap<>(Channel.class);
      Map<Reach, Integer> not = new EnumMap<>(Reach.class);
      int people = random.nextInt(40);
      for (int person = 0; person < people; person++) {
        Map<Channel, Reach> theirs = new EnumMap<>(Channel.class);
        for (Channel channel : Channel.values()) {
          theirs.put(channel, reach(random));
        }
        Ways.Found found = ways.first(theirs::get);
        assertThat(found.reach()).isEqualTo(theirs.get(found.channel()));
        if (found.isReady()) {
          reached.merge(found.channel(), 1, Integer::sum);
          List<Channel> before = ways.inOrder().subList(0, ways.inOrder().indexOf(found.channel()));
          assertThat(before).noneMatch(way -> theirs.get(way) == Reach.READY);
          assertThat(found.before().stream().map(Ways.Shut::channel)).isEqualTo(before);
        } else {
          not.merge(found.reach(), 1, Integer::sum);
          assertThat(ways.inOrder()).noneMatch(way -> theirs.get(way) == Reach.READY);
        }
      }
      int all =
          reached.values().stream().mapToInt(n -> n).sum()
              + not.values().stream().mapToInt(n -> n).sum();
      assertThat(all).isEqualTo(people);
    }
  }

  /** From random facts, as the audience asks them. */
  private static Reach reach(Random random) {
    return Reach.by(
        Channel.EMAIL,
        new Reach.Facts(
            random.nextInt(4) == 0 ? null : random.nextInt(6) == 0 ? "no@where" : "a@quay.example",
            random.nextInt(8) == 0,
            random.nextInt(8) == 0,
            random.nextInt(8) == 0,
            random.nextInt(8) == 0,
            random.nextInt(8) == 0));
  }
}
