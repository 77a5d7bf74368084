package app.jemble.account;

import app.jemble.account.SecondFactorMapper.Factor;
import app.jemble.core.access.RecoveryCode;
import app.jemble.core.access.SecondFactor;
import app.jemble.problem.Problem;
import app.jemble.secret.HouseSecrets;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a colleague shows beside the password: a code of their app, or one on paper. */
@Service
public class SecondFactors {

  private static final int CODES = 10;

  /**
   * A colleague's own.
   *
   * @param since null when there is none
   * @param codesLeft how many codes on paper have not been used
   * @param demanded whether the house lets nobody in without one
   */
  record OwnFactor(@Schema(nullable = true) Instant since, int codesLeft, boolean demanded) {}

  /**
   * What an app is told, once.
   *
   * @param typed as it is typed
   * @param uri as it stands in the picture
   */
  record BegunFactor(String typed, String uri) {}

  private final SecondFactorMapper mapper;
  private final HouseSecrets secrets;
  private final WorkspaceService workspace;
  private final SessionMapper sessions;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  SecondFactors(
      SecondFactorMapper mapper,
      HouseSecrets secrets,
      WorkspaceService workspace,
      SessionMapper sessions,
      Clock clock) {
    this.mapper = mapper;
    this.secrets = secrets;
    this.workspace = workspace;
    this.sessions = sessions;
    this.clock = clock;
  }

  OwnFactor of(Account colleague) {
    Factor factor = mapper.find(colleague.id());
    return new OwnFactor(
        factor == null ? null : factor.confirmedAt(),
        mapper.codesLeft(colleague.id()),
        workspace.isSecondFactorDemanded());
  }

  public boolean has(Account colleague) {
    Factor factor = mapper.find(colleague.id());
    return factor != null && factor.confirmedAt() != null;
  }

  /** Who has one, by id. */
  Set<Long> having() {
    return Set.copyOf(mapper.having());
  }

  /** Makes a secret for an app; it counts from the first code on. */
  @Transactional
  BegunFactor begin(Account me) {
    byte[] secret = new byte[SecondFactor.SECRET_OCTETS];
    random.nextBytes(secret);
    if (mapper.begin(me.id(), secrets.seal(purpose(me.id()), secret)) == 0) {
      throw Problem.conflict("You have a second factor already; take it off first.");
    }
    return new BegunFactor(
        SecondFactor.typed(secret),
        SecondFactor.uri(workspace.current().name(), me.login(), secret));
  }

  /**
   * From now on the code is asked for. Wherever this colleague signed in without one, they no
   * longer are.
   *
   * @return the codes on paper, which are shown once
   */
  @Transactional
  List<String> confirm(Account me, String code, String butSession) {
    Factor factor = mapper.findLocked(me.id());
    if (factor == null || factor.confirmedAt() != null) {
      throw Problem.conflict("Begin anew: there is no secret that waits for its first code.");
    }
    if (!isOfApp(factor, code)) {
      throw wrong();
    }
    sessions.endOthers(me.login(), butSession);
    return newCodes(me);
  }

  /** Whether a code is good now; it is good no more then. */
  @Transactional
  boolean accepts(Account colleague, String code) {
    Factor factor = mapper.findLocked(colleague.id());
    if (factor == null) {
      return false;
    }
    return RecoveryCode.isOne(code)
        ? mapper.useCode(colleague.id(), RecoveryCode.hash(code), clock.instant()) > 0
        : isOfApp(factor, code);
  }

  private boolean isOfApp(Factor factor, String code) {
    Instant now = clock.instant();
    OptionalLong step =
        secrets
            .open(purpose(factor.accountId()), factor.secret())
            .map(secret -> SecondFactor.stepOf(secret, code, now, factor.lastStep()))
            .orElse(OptionalLong.empty());
    step.ifPresent(used -> mapper.used(factor.accountId(), used, now));
    return step.isPresent();
  }

  /** New codes on paper; those before are good no more. */
  @Transactional
  List<String> newCodes(Account me) {
    mapper.removeCodes(me.id());
    List<String> codes = new ArrayList<>();
    for (int i = 0; i < CODES; i++) {
      byte[] octets = new byte[RecoveryCode.OCTETS];
      random.nextBytes(octets);
      String code = RecoveryCode.of(octets);
      mapper.addCode(me.id(), RecoveryCode.hash(code));
      codes.add(code);
    }
    return codes;
  }

  @Transactional
  void takeOff(Account colleague) {
    mapper.remove(colleague.id());
    mapper.removeCodes(colleague.id());
  }

  /** Whoever lost app and codes begins anew, and signs in anew. */
  @Transactional
  public void takeOffAnothers(Account colleague) {
    takeOff(colleague);
    sessions.endOthers(colleague.login(), "");
  }

  static Problem wrong() {
    return Problem.wrong("code", "That code is not good, or no longer. Type the one shown now.");
  }

  private static String purpose(long account) {
    return "second factor of colleague " + account;
  }
}
