package app.jemble.kills;

import app.jemble.Api;
import app.jemble.standins.PostOffice;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.Socket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;

/** Two processes of one house with a quick clock, killed at random at what they do. */
final class KilledHouse implements AutoCloseable {

  /** An hour of theirs passes in 15 seconds. */
  static final int CLOCK_SPEED = 240;

  private static final Duration PATIENCE = Duration.ofSeconds(15);
  private static final int CONNECTIONS = 2;
  private static final int BOTH_OF = 5;

  private final Path folder;
  private final Random random;
  private final Instant from = Instant.now();
  private final KilledProcesses processes;

  KilledHouse(String database, PostOffice office, Random random) {
    this.random = random;
    try {
      this.folder = Files.createTempDirectory("jemble-house-kills");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    this.processes =
        new KilledProcesses(2, settings(database, office), folder.resolve("processes.log"));
  }

  private List<String> settings(String database, PostOffice office) {
    return List.of(
        "--spring.datasource.url=" + database,
        "--spring.datasource.username=jemble",
        "--jemble.public-url=http://127.0.0.1:1",
        "--jemble.smtp.port=" + office.smtpPort(),
        "--jemble.smtp.connections=" + CONNECTIONS,
        "--jemble.imap.host=127.0.0.1",
        "--jemble.imap.port=" + office.imapPort(),
        "--jemble.imap.user=" + PostOffice.COMMON_MAILBOX,
        "--jemble.imap.password=" + PostOffice.COMMON_PASSWORD,
        "--jemble.imap.every=1s",
        "--jemble.outbox.poll-every=100ms",
        "--jemble.outbox.journal=" + folder.resolve("journals"),
        "--jemble.clock.speed=" + CLOCK_SPEED,
        "--jemble.clock.from=" + from);
  }

  /** What their clock shows. */
  Instant now() {
    return from.plus(Duration.between(from, Instant.now()).multipliedBy(CLOCK_SPEED));
  }

  int either() {
    return random.nextInt(processes.count());
  }

  /** Somebody who is signed in at one of them. */
  Api colleague(int which) {
    Api api = new Api(processes.address(which % processes.count()));
    api.signIn("orla", "lowen-quay");
    return api;
  }

  /** Kills one, and now and then both. */
  void kill(int which) {
    processes.kill(which);
    if (random.nextInt(BOTH_OF) == 0) {
      processes.kill(1 - which);
    }
  }

  /** Whether one takes connections. */
  boolean isUp(int which) {
    URI address = URI.create(processes.address(which));
    try (Socket socket = new Socket(address.getHost(), address.getPort())) {
      return socket.isConnected();
    } catch (IOException down) {
      return false;
    }
  }

  void await(String what, Duration limit, BooleanSupplier holds) {
    long end = System.nanoTime() + limit.toNanos();
    while (!holds.getAsBoolean()) {
      if (System.nanoTime() > end) {
        throw new AssertionError(what + ": not within " + limit + "; logs in " + folder);
      }
      processes.restartThoseThatEnded();
      pause(Duration.ofMillis(100));
    }
  }

  /** Waits until something goes on; where it does not, the kill comes all the same. */
  static void watch(BooleanSupplier goesOn) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (!goesOn.getAsBoolean() && System.nanoTime() < end) {
      pause(Duration.ofMillis(20));
    }
  }

  static void pause(Duration time) {
    LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(time.toMillis()));
  }

  @Override
  public void close() {
    processes.close();
  }
}
