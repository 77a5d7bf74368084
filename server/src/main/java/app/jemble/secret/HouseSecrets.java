package app.jemble.secret;

import app.jemble.core.access.KeyedMark;
import app.jemble.core.access.SealedSecret;
import java.security.SecureRandom;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Seals what is kept in the database and opens it again; none of it is ever logged. */
@Service
public class HouseSecrets {

  private static final Logger LOG = LoggerFactory.getLogger(HouseSecrets.class);

  private final HouseKey key;
  private final SecureRandom random = new SecureRandom();

  HouseSecrets(HouseKey key) {
    this.key = key;
  }

  /**
   * @param purpose what it is, and whose: it opens for that alone
   */
  public byte[] seal(String purpose, byte[] secret) {
    return SealedSecret.seal(secret, key.octets(), purpose, random);
  }

  /** The secret; empty when this house's key does not open it. */
  public Optional<byte[]> open(String purpose, byte[] sealed) {
    Optional<byte[]> secret = SealedSecret.open(sealed, key.octets(), purpose);
    if (secret.isEmpty()) {
      LOG.error("The {} was sealed with another key than the house has now.", purpose);
    }
    return secret;
  }

  /** A mark by which a value is known again, and from which it cannot be told. */
  public byte[] mark(String purpose, String value) {
    return KeyedMark.of(key.octets(), purpose, value);
  }
}
