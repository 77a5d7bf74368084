package app.jemble.account;

import java.text.Normalizer;
import java.util.concurrent.Semaphore;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * How passwords are kept: Argon2id (RFC 9106) with 19 MiB, two passes and one lane, the least that
 * the OWASP Password Storage Cheat Sheet names. What was kept by bcrypt is known, and kept anew
 * when its owner signs in.
 */
final class HousePasswords implements PasswordEncoder {

  private static final int SALT_OCTETS = 16;
  private static final int HASH_OCTETS = 32;
  private static final int LANES = 1;
  private static final int MEMORY_KIB = 19 * 1024;
  private static final int PASSES = 2;
  private static final String ARGON = "$argon2id$";

  private final PasswordEncoder argon =
      new Argon2PasswordEncoder(SALT_OCTETS, HASH_OCTETS, LANES, MEMORY_KIB, PASSES);
  private final PasswordEncoder bcrypt = new BCryptPasswordEncoder();

  /** However many guess at once, no more memory is taken than this many need. */
  private final Semaphore places = new Semaphore(2 * Runtime.getRuntime().availableProcessors());

  @Override
  public String encode(CharSequence password) {
    places.acquireUninterruptibly();
    try {
      return argon.encode(same(password));
    } finally {
      places.release();
    }
  }

  @Override
  public boolean matches(CharSequence password, String kept) {
    if (kept == null || !kept.startsWith(ARGON)) {
      return kept != null && bcrypt.matches(same(password), kept);
    }
    places.acquireUninterruptibly();
    try {
      return argon.matches(same(password), kept);
    } finally {
      places.release();
    }
  }

  /** Keyboards write the same letter in different ways (RFC 8265, 4.2: NFC). */
  private static String same(CharSequence password) {
    return Normalizer.normalize(password, Normalizer.Form.NFC);
  }

  @Override
  public boolean upgradeEncoding(String kept) {
    return kept != null && (!kept.startsWith(ARGON) || argon.upgradeEncoding(kept));
  }
}
