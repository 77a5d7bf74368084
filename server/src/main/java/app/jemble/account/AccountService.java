package app.jemble.account;

import app.jemble.access.AccessService;
import app.jemble.access.WhoAsks;
import app.jemble.core.access.Asker;
import app.jemble.core.access.Right;
import app.jemble.core.access.Role;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.problem.Problem;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** Colleagues, and which of them is asking. */
@Service
public class AccountService implements WhoAsks {

  private final AccountMapper mapper;
  private final PasswordEncoder passwords;

  AccountService(AccountMapper mapper, PasswordEncoder passwords) {
    this.mapper = mapper;
    this.passwords = passwords;
  }

  /** The colleague who is signed in. */
  public Account current() {
    Authentication signedIn = SecurityContextHolder.getContext().getAuthentication();
    Account account = signedIn == null ? null : mapper.findByLogin(signedIn.getName());
    if (account == null) {
      throw Problem.forbidden("Please sign in first.");
    }
    return account;
  }

  /** The colleague who is signed in, who must be allowed to change things. */
  public Account currentWriter() {
    return currentWith(Right.WRITE);
  }

  /** The colleague who is signed in, who must have a right. */
  public Account currentWith(Right right) {
    Account account = current();
    AccessService.must(account.asker(), right);
    return account;
  }

  @Override
  public Asker asker() {
    return current().asker();
  }

  /** What a colleague says of themselves; it stands in what they write. */
  public record Self(
      String title,
      @Schema(nullable = true) String phone,
      @Schema(nullable = true) String pictureKey,
      String signature) {}

  Self self() {
    Account me = current();
    return new Self(me.title(), me.phone(), me.pictureKey(), me.signature());
  }

  /** Changes what the colleague who asks says of themselves. */
  Self describe(Self self) {
    long me = currentWriter().id();
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
      mapper.describe(me, new Self(self.title().strip(), phone, self.pictureKey(), signature));
    } catch (DataIntegrityViolationException noPicture) {
      throw Problem.wrong("pictureKey", "There is no such picture; choose it again.");
    }
    return self();
  }

  public Account find(long id) {
    return mapper.find(id);
  }

  public Account findByLogin(String login) {
    return mapper.findByLogin(login);
  }

  /** All colleagues in order of name. */
  public List<Account> all() {
    return mapper.all();
  }

  public boolean hasAny() {
    return mapper.count() > 0;
  }

  /** Adds a colleague. */
  public void add(
      String login, String password, String name, String email, String title, Role role) {
    mapper.add(
        login,
        passwords.encode(password),
        name,
        email,
        title,
        role.name().toLowerCase(Locale.ROOT));
  }
}
