package app.jemble.account;

import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Makes whoever guesses passwords wait: longer with each failure, for a login from wherever it is
 * tried, and for an address whatever logins it tries (OWASP ASVS 5, V6.3.1). A wait is never so
 * long that somebody could keep a colleague out for a day.
 */
@Component
class SignInGuard {

  private static final Logger LOG = LoggerFactory.getLogger(SignInGuard.class);

  /** So many failures are a slip of the finger. */
  private static final int FREE_OF_LOGIN = 4;

  /** An office may share an address. */
  private static final int FREE_OF_ADDRESS = 20;

  private static final Duration LONGEST = Duration.ofMinutes(5);

  /** After that a failure is forgotten. */
  private static final Duration REMEMBERED = Duration.ofHours(1);

  private final SignInMapper mapper;
  private final Clock clock;

  SignInGuard(SignInMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  /**
   * Who tries.
   *
   * @param device a browser in which that login signed in before, if it is known: it waits for its
   *     own failures alone, so that no stranger keeps a colleague out
   */
  record Trying(String login, String address, Optional<String> device) {
    private List<String> counted() {
      return device
          .map(known -> List.of(byDevice(known)))
          .orElseGet(() -> List.of(byLogin(login), byAddress(address)));
    }
  }

  /** How long somebody must wait before they may try; nothing when they need not. */
  Optional<Duration> wait(Trying who) {
    Instant until = mapper.waitUntil(who.counted());
    Instant now = clock.instant();
    return until == null || !until.isAfter(now)
        ? Optional.empty()
        : Optional.of(Duration.between(now, until).plusSeconds(1));
  }

  /**
   * A problem when somebody must wait before they may try.
   *
   * @param field of what was given, for the problem
   */
  void mustNotWait(String field, Trying who) {
    wait(who)
        .ifPresent(
            wait -> {
              throw Problem.tooOften(
                  field, "Too many attempts. Try again in " + words(wait) + ".", wait);
            });
  }

  private static String words(Duration wait) {
    long seconds = wait.toSeconds();
    if (seconds >= 120) {
      return (seconds + 59) / 60 + " minutes";
    }
    return seconds == 1 ? "a second" : seconds + " seconds";
  }

  void failed(Trying who) {
    LOG.warn("Somebody at {} gave a wrong password or an unknown login.", who.address());
    // Made-up logins would fill the table for ever.
    mapper.forgetBefore(clock.instant().minus(REMEMBERED));
    if (who.device().isPresent()) {
      who.counted().forEach(device -> note(device, FREE_OF_LOGIN));
    } else {
      note(byLogin(who.login()), FREE_OF_LOGIN);
      note(byAddress(who.address()), FREE_OF_ADDRESS);
    }
  }

  /** Their own failures are forgotten; not those of strangers, while they go on guessing. */
  void succeeded(Trying who) {
    mapper.forget(who.device().map(SignInGuard::byDevice).orElse(byLogin(who.login())));
  }

  private void note(String who, int free) {
    Instant now = clock.instant();
    int failures = mapper.failed(who, now, now.minus(REMEMBERED));
    mapper.letWait(who, now.plus(waitAfter(failures - free)));
  }

  /** 1, 2, 4 … seconds. */
  static Duration waitAfter(int tooMany) {
    if (tooMany < 1) {
      return Duration.ZERO;
    }
    Duration doubled = Duration.ofSeconds(1L << Math.min(tooMany - 1, 20));
    return doubled.compareTo(LONGEST) > 0 ? LONGEST : doubled;
  }

  private static String byLogin(String login) {
    String word = word(login);
    return "login " + (word.length() > 100 ? word.substring(0, 100) : word);
  }

  /** A login as it is kept. */
  static String word(String login) {
    return login == null ? "" : login.strip().toLowerCase(Locale.ROOT);
  }

  private static String byDevice(String known) {
    return "device " + known;
  }

  private static String byAddress(String address) {
    return "address " + address;
  }
}
