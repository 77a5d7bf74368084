package app.jemble.core.notice;

import app.jemble.core.record.PersonId;
import app.jemble.core.seal.HouseSeal;
import java.nio.ByteBuffer;
import java.util.Optional;

/**
 * What only one person was given, so that their app can register: whose it is and which of those
 * they were given, sealed with the house's secret. In letters that an address takes as they are.
 */
public final class AppToken {

  private static final HouseSeal SEAL = new HouseSeal("app ", 16);
  private static final int NAMED = Long.BYTES + Integer.BYTES;

  private AppToken() {}

  /**
   * Whose it is.
   *
   * @param number how many they were given before
   */
  public record Holder(PersonId person, int number) {}

  /**
   * @param key the workspace's secret, at least 16 octets
   */
  public static String of(Holder holder, byte[] key) {
    return SEAL.on(
        ByteBuffer.allocate(NAMED).putLong(holder.person().value()).putInt(holder.number()).array(),
        key,
        "");
  }

  /** Whose a token is; empty when it was not made with this key. */
  public static Optional<Holder> read(String token, byte[] key) {
    return SEAL.read(token, NAMED, key, "").map(ByteBuffer::wrap).map(AppToken::holder);
  }

  private static Holder holder(ByteBuffer named) {
    return new Holder(new PersonId(named.getLong()), named.getInt());
  }
}
