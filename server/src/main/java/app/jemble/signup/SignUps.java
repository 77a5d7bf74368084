package app.jemble.signup;

import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.core.signup.Confirmation;
import app.jemble.core.signup.Confirmation.Standing;
import app.jemble.core.signup.ReaderLanguage;
import app.jemble.core.signup.SignUpForm;
import app.jemble.pool.OnBehalf;
import app.jemble.record.FieldJson;
import app.jemble.signup.SignUpMapper.NewSignUp;
import app.jemble.signup.SignUpPageMapper.Counted;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * People who ask to be written to. Until they confirm, what they typed is kept apart, and nobody is
 * looked up: whether an address is on record changes neither page nor time.
 */
@Service
public class SignUps {

  private final SignUpMapper mapper;
  private final SignUpPages pages;
  private final SignUpRecords records;
  private final WorkspaceService workspace;
  private final FieldJson json;
  private final Clock clock;

  SignUps(
      SignUpMapper mapper,
      SignUpPages pages,
      SignUpRecords records,
      WorkspaceService workspace,
      FieldJson json,
      Clock clock) {
    this.mapper = mapper;
    this.pages = pages;
    this.records = records;
    this.workspace = workspace;
    this.json = json;
    this.clock = clock;
  }

  /**
   * Keeps what somebody asked for, until they confirm it.
   *
   * @param topics those ticked; of others nothing is kept
   * @param ways likewise
   * @param from the network address that asked
   */
  @Transactional
  public void ask(
      SignUpPage page,
      SignUpForm.Reading reading,
      Set<Long> topics,
      Set<Channel> ways,
      ReaderLanguage language,
      String from) {
    mapper.add(
        new NewSignUp(
            page.id(),
            workspace.newToken(),
            reading.address(),
            json.writeAll(reading.values()),
            page.body().topics().stream().filter(topics::contains).toArray(Long[]::new),
            page.body().ways().stream().filter(ways::contains).map(Channel::name).toList(),
            language.tag(),
            page.written(language).words().consent(),
            page.consentVersion(),
            clock.instant(),
            from));
    pages.count(page.id(), Counted.ASKED);
  }

  /** A sign-up by what stands in its link. */
  public Optional<SignUp> find(String token) {
    return Optional.ofNullable(mapper.byToken(token));
  }

  public Standing standing(SignUp signUp) {
    return signUp.confirmation().at(clock.instant());
  }

  /**
   * The reader pressed the button.
   *
   * @return whether that confirmed it; pressed again, or too late, it changes nothing
   */
  @Transactional
  public boolean confirm(String token, String from) {
    SignUp signUp = mapper.lockByToken(token);
    if (signUp == null || standing(signUp) != Standing.WAITS) {
      return false;
    }
    Instant now = clock.instant();
    mapper.lockAddress(signUp.address());
    SignUpPage page = pages.find(signUp.pageId());
    PersonId known = mapper.personWith(signUp.address());
    SignUpRecords.Kept kept = records.keep(page, signUp, known, now);
    mapper.confirmed(
        signUp.id(),
        clock.instant(),
        from,
        kept.person(),
        known != null,
        json.writeAll(kept.differs()));
    pages.count(page.id(), Counted.CONFIRMED);
    return true;
  }

  /**
   * Takes the next whose confirmation mail is due, and notes first that it has left, so that nobody
   * gets two whatever dies in between.
   */
  @Transactional
  public Optional<SignUp> takeNextToMail() {
    SignUp next = mapper.nextToMail();
    while (next != null) {
      mapper.lockAddress(next.address());
      Instant now = clock.instant();
      if (!mapper.isQuiet(next.address(), now.minus(Confirmation.QUIET))) {
        mapper.left(next.id(), now);
        return Optional.of(next);
      }
      mapper.notDue(next.id());
      next = mapper.nextToMail();
    }
    return Optional.empty();
  }

  public void didNotLeave(SignUp signUp) {
    mapper.didNotLeave(signUp.id());
  }

  /** Takes the next of whom a colleague is to be told, and notes it first. */
  @Transactional
  public Optional<Told> takeNextToTell() {
    Long id = mapper.nextToTell(clock.instant());
    if (id == null) {
      return Optional.empty();
    }
    SignUpMapper.Shown shown = mapper.shown(id);
    SignUpPage page = pages.find(shown.pageId());
    return Optional.of(
        new Told(
            id,
            page.body().tell(),
            shown.name(),
            shown.page(),
            shown.personId(),
            shown.awaitsLook()));
  }

  /** Whether whoever is to be told of somebody sees them. */
  public boolean isSeen(Told told, Optional<Long> onlyPeopleOf) {
    return OnBehalf.of(onlyPeopleOf.orElse(null), () -> mapper.shown(told.id())) != null;
  }

  /** Of whom a colleague is told. */
  public record Told(
      long id, Long colleague, String who, String page, PersonId person, boolean awaitsLook) {}

  public void notTold(long id) {
    mapper.notTold(id);
  }

  /** Forgets what was never confirmed and cannot be any more; answers how many. */
  public int forgetUnconfirmed() {
    return mapper.forget(clock.instant().minus(Confirmation.GOOD_FOR.plusDays(1)));
  }
}
