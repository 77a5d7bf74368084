package app.jemble.core.reach;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.function.Function;

/**
 * The ways of what writes to people, in the order in which they are tried: a person gets one
 * message, on the first that reaches them.
 */
public record Ways(List<Channel> inOrder) {

  public static final Ways MAIL = new Ways(List.of(Channel.EMAIL));

  /**
   * @throws IllegalArgumentException when there is none, or one of them twice
   */
  public Ways {
    inOrder = List.copyOf(inOrder);
    if (inOrder.isEmpty() || EnumSet.copyOf(inOrder).size() < inOrder.size()) {
      throw new IllegalArgumentException("ways are one or more, each once: " + inOrder);
    }
  }

  /** A way that does not reach somebody, and why. */
  public record Shut(Channel channel, Reach reach) {}

  /**
   * How somebody is reached, or why not.
   *
   * @param channel the first that reaches them; the last of all when none does
   * @param reach {@link Reach#READY}, or the reason of the last
   * @param before the ways before it, which do not
   */
  public record Found(Channel channel, Reach reach, List<Shut> before) {
    public Found {
      before = List.copyOf(before);
    }

    public boolean isReady() {
      return reach == Reach.READY;
    }
  }

  /** Asks one way after another, until one reaches. */
  public Found first(Function<Channel, Reach> reaches) {
    return first(inOrder, reaches);
  }

  /** The same of the ways that come after one; of none the reason of that one stays. */
  public Found after(Shut shut, Function<Channel, Reach> reaches) {
    int place = inOrder.indexOf(shut.channel());
    List<Channel> rest = inOrder.subList(place + 1, inOrder.size());
    return rest.isEmpty()
        ? new Found(shut.channel(), shut.reach(), List.of())
        : first(rest, reaches);
  }

  private static Found first(List<Channel> ways, Function<Channel, Reach> reaches) {
    List<Shut> before = new ArrayList<>();
    for (Channel way : ways) {
      Reach reach = reaches.apply(way);
      if (reach == Reach.READY) {
        return new Found(way, reach, before);
      }
      before.add(new Shut(way, reach));
    }
    Shut last = before.remove(before.size() - 1);
    return new Found(last.channel(), last.reach(), before);
  }

  public boolean has(Channel channel) {
    return inOrder.contains(channel);
  }
}
