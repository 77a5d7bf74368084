package app.jemble.account;

import app.jemble.access.AccessService;
import app.jemble.access.WhoAsks;
import app.jemble.core.access.About;
import app.jemble.core.access.Access;
import app.jemble.core.access.Asker;
import app.jemble.core.access.LoginRule;
import app.jemble.core.access.Right;
import app.jemble.core.access.Role;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.Words;
import app.jemble.core.signup.ReaderLanguage;
import app.jemble.problem.Problem;
import app.jemble.role.Roles;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Colleagues, and which of them is asking. */
@Service
public class AccountService implements WhoAsks {

  private final AccountMapper mapper;
  private final SessionMapper sessions;
  private final PasswordEncoder passwords;
  private final WorkspaceService workspace;
  private final SecondFactors factors;
  private final Roles roles;
  private final Clock clock;

  AccountService(
      AccountMapper mapper,
      SessionMapper sessions,
      PasswordEncoder passwords,
      WorkspaceService workspace,
      SecondFactors factors,
      Roles roles,
      Clock clock) {
    this.mapper = mapper;
    this.sessions = sessions;
    this.passwords = passwords;
    this.workspace = workspace;
    this.factors = factors;
    this.roles = roles;
    this.clock = clock;
  }

  /** The colleague who is signed in. */
  public Account current() {
    return signedIn().orElseThrow(() -> Problem.forbidden("Please sign in first."));
  }

  /** The same; nobody where software works by itself. */
  public Optional<Account> signedIn() {
    Authentication signedIn = SecurityContextHolder.getContext().getAuthentication();
    return Optional.ofNullable(signedIn == null ? null : findByLogin(signedIn.getName()))
        .filter(account -> !account.off());
  }

  /** The colleague who is signed in, who must take part in the work. */
  public Account currentWriter() {
    return currentWith(Right.WORK);
  }

  /** The colleague who is signed in, who must have a right. */
  public Account currentWith(Right right) {
    Account account = current();
    AccessService.must(account.asker(), right, About.HOUSE, this::whomToAsk);
    return account;
  }

  @Override
  public List<String> whomToAsk() {
    return roles.who(Right.COLLEAGUES);
  }

  @Override
  public Asker asker() {
    return current().asker();
  }

  @Override
  public Optional<String> owes() {
    return workspace.isSecondFactorDemanded() && !factors.has(current())
        ? Optional.of("Your house lets nobody in without a second factor. Set yours up first.")
        : Optional.empty();
  }

  /**
   * What a colleague says of themselves; it stands in what they write.
   *
   * @param language the tag of the language of what the house tells them; null: as the house has it
   */
  public record Self(
      String name,
      String title,
      @Schema(nullable = true) String phone,
      @Schema(nullable = true) String pictureKey,
      String signature,
      @Schema(nullable = true) String language) {}

  Self self() {
    Account me = current();
    return new Self(
        me.name(), me.title(), me.phone(), me.pictureKey(), me.signature(), me.language());
  }

  /** Changes what the colleague who asks says of themselves, whatever else their role lets them. */
  Self describe(Self self) {
    long me = current().id();
    String name = named(self.name());
    String language = shipped(self.language());
    if (self.title() == null || self.title().isBlank()) {
      throw Problem.wrong("title", "Say what you do here; it stands beneath your name.");
    }
    String phone = self.phone() == null || self.phone().isBlank() ? null : self.phone().strip();
    String signature = SafeHtml.clean(self.signature() == null ? "" : self.signature());
    List<TemplateError> errors =
        TemplateParser.parse(signature, TemplateParser.Kind.HTML, FieldCatalogue.standard())
            .errors();
    if (!errors.isEmpty()) {
      throw Problem.wrong("signature", errors.get(0).sentence());
    }
    try {
      mapper.describe(
          me, new Self(name, self.title().strip(), phone, self.pictureKey(), signature, language));
    } catch (DataIntegrityViolationException noPicture) {
      throw Problem.wrong("pictureKey", "There is no such picture; choose it again.");
    }
    return self();
  }

  /** Whose people a colleague sees, by id the owner of all; empty for everybody's. */
  public Optional<Long> onlyPeopleOf(long id) {
    return Access.onlyPeopleOf(find(id).asker());
  }

  public Account find(long id) {
    return account(mapper.find(id));
  }

  public Account findByLogin(String login) {
    return account(mapper.findByLogin(login));
  }

  private static Account account(AccountMapper.AccountRow row) {
    return row == null ? null : row.account();
  }

  /** Whether somebody signs in so whom one can give something to. */
  public boolean isThere(String login) {
    Account account = login == null ? null : findByLogin(login);
    return account != null && !account.off();
  }

  /** All colleagues in order of name. */
  public List<Account> all() {
    return mapper.all().stream().map(AccountMapper.AccountRow::account).toList();
  }

  public boolean hasAny() {
    return mapper.count() > 0;
  }

  /** Adds a colleague who has a password. */
  public void add(
      String login, String password, String name, String email, String title, Role role) {
    mapper.add(
        login, passwords.encode(password), new ColleagueDraft(name, email, title, role.id(), null));
  }

  /**
   * What an administrator says of a colleague.
   *
   * @param language the tag of the language of what the house tells them; null: as the house has it
   */
  public record ColleagueDraft(
      String name,
      String email,
      String title,
      long roleId,
      @Schema(nullable = true) String language) {}

  /**
   * Adds a colleague who has no password yet.
   *
   * @return the id
   */
  @Transactional
  public long invite(String login, ColleagueDraft draft) {
    currentWith(Right.COLLEAGUES);
    return added(login, draft);
  }

  /**
   * Adds the first of a house that has nobody, without a password yet.
   *
   * @return the id
   */
  @Transactional
  public long addFirst(String login, String name, String email) {
    if (hasAny()) {
      throw Problem.conflict("Somebody signs in here already.");
    }
    return added(login, new ColleagueDraft(name, email, "Administrator", roles.first().id(), null));
  }

  private long added(String login, ColleagueDraft draft) {
    String word = login == null ? "" : login.strip().toLowerCase(Locale.ROOT);
    LoginRule.refusal(word)
        .ifPresent(
            reason -> {
              throw Problem.wrong("login", reason);
            });
    ColleagueDraft tidy = tidy(draft);
    Long id = mapper.add(word, null, tidy);
    if (id == null) {
      throw Problem.wrong("login", "Somebody signs in as “" + word + "” already.");
    }
    return id;
  }

  /** Changes what is said of a colleague; the last administrator stays one. */
  @Transactional
  public void change(long id, ColleagueDraft draft) {
    Account colleague = colleague(id);
    ColleagueDraft tidy = tidy(draft);
    if (!Access.decide(new Asker(id, role(tidy.roleId())), Right.COLLEAGUES).isYes()) {
      mustNotBeLast(colleague);
    }
    mapper.change(id, tidy);
  }

  /** Lets a colleague sign in no more; they are signed out at once. */
  @Transactional
  public void switchOff(long id) {
    Account colleague = colleague(id);
    if (colleague.id() == current().id()) {
      throw Problem.conflict("You cannot switch yourself off; another administrator can.");
    }
    mustNotBeLast(colleague);
    mapper.switchOff(id, clock.instant());
    sessions.endOthers(colleague.login(), "");
  }

  /** Signs a colleague out wherever they are; they may sign in again. */
  @Transactional
  public void signOut(long id) {
    sessions.endOthers(colleague(id).login(), "");
  }

  @Transactional
  public void switchOn(long id) {
    colleague(id);
    mapper.switchOff(id, null);
  }

  /** A colleague whom the administrator who asks may change. */
  public Account colleague(long id) {
    currentWith(Right.COLLEAGUES);
    Account colleague = find(id);
    if (colleague == null) {
      throw Problem.notFound("There is no such colleague.");
    }
    return colleague;
  }

  private void mustNotBeLast(Account colleague) {
    if (mapper.lockWhoHas(Right.COLLEAGUES.name()).equals(List.of(colleague.id()))) {
      throw Problem.conflict(
          "Nobody else who can sign in looks after colleagues. Let another do so first.");
    }
  }

  private static String named(String given) {
    String name = given == null ? "" : Words.tidy(given).strip();
    if (name.isEmpty()) {
      throw Problem.wrong("name", "Say who it is; the name stands beneath what they write.");
    }
    return name;
  }

  /** The tag of a language that ships; null as it was given. */
  private static String shipped(String language) {
    return language == null || language.isBlank()
        ? null
        : ReaderLanguage.of(language)
            .map(ReaderLanguage::tag)
            .orElseThrow(
                () -> Problem.wrong("language", "Jemble does not ship that language; choose one."));
  }

  private Role role(long id) {
    return roles
        .find(id)
        .orElseThrow(() -> Problem.wrong("role", "There is no such role; choose one."));
  }

  private ColleagueDraft tidy(ColleagueDraft draft) {
    String name = named(draft.name());
    String email = draft.email() == null ? "" : draft.email().strip();
    String title = draft.title() == null ? "" : draft.title().strip();
    if (!EmailAddress.isValid(email)) {
      throw Problem.wrong("email", "That is no e-mail address.");
    }
    role(draft.roleId());
    return new ColleagueDraft(name, email, title, draft.roleId(), shipped(draft.language()));
  }
}
