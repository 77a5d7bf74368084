package app.jemble.core.reach;

/** Where a message goes, on one channel. */
public sealed interface Address {

  Channel channel();

  /** As it is stored beside its channel. */
  String stored();

  /** A mailbox (RFC 5321 section 4.1.2). */
  record Email(String stored) implements Address {
    @Override
    public Channel channel() {
      return Channel.EMAIL;
    }
  }

  /** A telephone (E.164). */
  record Phone(String stored) implements Address {
    @Override
    public Channel channel() {
      return Channel.TEXT;
    }
  }

  /** The app on the devices of a person, whichever they are when it is sent to. */
  record Device(String stored) implements Address {

    /** The app of a person of this number. */
    public static Device of(long person) {
      return new Device("app-" + person);
    }

    @Override
    public Channel channel() {
      return Channel.APP;
    }
  }

  /**
   * A postal address, its parts as {@link app.jemble.core.paper.PostalLines.Postal} stores them.
   */
  record Postal(String stored) implements Address {
    @Override
    public Channel channel() {
      return Channel.POST;
    }
  }

  /** Reads what is stored beside a channel. */
  static Address of(Channel channel, String stored) {
    return switch (channel) {
      case EMAIL -> new Email(stored);
      case TEXT -> new Phone(stored);
      case APP -> new Device(stored);
      case POST -> new Postal(stored);
    };
  }
}
