package app.jemble.pool;

import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * For whom a thread works: it decides from which pool its connections come, and with that what it
 * finds in them. Nobody in particular, for the whole house, where nothing was said.
 */
public final class OnBehalf {

  /** Which connections a thread takes. */
  sealed interface Whom {}

  /** The whole house: its colleagues who see everybody, and what runs by itself. */
  record House() implements Whom {}

  /** Those who read what was written to them. */
  record Readers() implements Whom {}

  /**
   * A colleague who sees their own people only.
   *
   * @param owner by id
   */
  record Owner(long owner) implements Whom {}

  private static final ThreadLocal<Whom> WHOM = ThreadLocal.withInitial(House::new);

  private OnBehalf() {}

  static Whom whom() {
    return WHOM.get();
  }

  /** By id the owner of all people whom this thread finds; empty where it finds everybody. */
  public static Optional<Long> owner() {
    return WHOM.get() instanceof Owner one ? Optional.of(one.owner()) : Optional.empty();
  }

  /** This thread works for readers of mail from now on. */
  public static void ofReaders() {
    set(new Readers());
  }

  /**
   * This thread works for a colleague from now on.
   *
   * @param owner by id the owner of all people whom they see; null for everybody's
   */
  public static void of(Long owner) {
    set(owner == null ? new House() : new Owner(owner));
  }

  /** This thread works for nobody in particular. */
  public static void done() {
    WHOM.remove();
  }

  /** Does one thing on behalf of a colleague, and goes on as before. */
  public static <T> T of(Long owner, Supplier<T> work) {
    Whom before = WHOM.get();
    of(owner);
    try {
      return work.get();
    } finally {
      WHOM.set(before);
    }
  }

  /** Work that another thread does on behalf of whom this one works for. */
  public static Runnable carried(Runnable work) {
    Whom whom = WHOM.get();
    return () -> {
      Whom before = WHOM.get();
      WHOM.set(whom);
      try {
        work.run();
      } finally {
        WHOM.set(before);
      }
    };
  }

  /** The same of work with an answer. */
  public static <T> Callable<T> carried(Callable<T> work) {
    Whom whom = WHOM.get();
    return () -> {
      Whom before = WHOM.get();
      WHOM.set(whom);
      try {
        return work.call();
      } finally {
        WHOM.set(before);
      }
    };
  }

  /** A transaction keeps the connection with which it began, and what that one finds. */
  private static void set(Whom whom) {
    if (!whom.equals(WHOM.get()) && TransactionSynchronizationManager.isActualTransactionActive()) {
      throw new IllegalStateException("Nobody else is worked for inside of a transaction.");
    }
    WHOM.set(whom);
  }
}
