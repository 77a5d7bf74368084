package app.jemble.signup.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.PersonId;
import app.jemble.settings.JembleSettings;
import app.jemble.signup.SignUpDesk;
import app.jemble.signup.SignUpPage;
import app.jemble.signup.SignUpPageBody;
import app.jemble.signup.SignUpPages;
import app.jemble.signup.reader.JoinPages;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Sign-up pages as the house makes them, and who came by them. */
@RestController
@RequestMapping("/api/sign-up-pages")
class SignUpPageController {

  private static final SignUpPages.SignUpNumbers NONE =
      new SignUpPages.SignUpNumbers(0, 0, 0, 0, 0, 0);

  /**
   * A page with what came of it.
   *
   * @param address where readers find it
   * @param snippet HTML for another site, whose form posts to it
   */
  record SignUpPageView(
      long id,
      String address,
      String snippet,
      int consentVersion,
      SignUpPages.SignUpNumbers numbers,
      SignUpPageBody page) {}

  /** A field that may be asked. */
  record AskableField(String name, String label, FieldType type) {}

  /** A proof of a page that is not saved yet: whole HTML, which runs no script. */
  record PageProof(String html) {}

  /** The act that can be taken back. */
  record SignUpSettled(long batch) {}

  private final SignUpPages pages;
  private final SignUpDesk desk;
  private final JoinPages join;
  private final JembleSettings settings;

  SignUpPageController(
      SignUpPages pages, SignUpDesk desk, JoinPages join, JembleSettings settings) {
    this.pages = pages;
    this.desk = desk;
    this.join = join;
    this.settings = settings;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<SignUpPageView> all() {
    Map<Long, SignUpPages.SignUpNumbers> numbers =
        pages.numbers().stream()
            .collect(Collectors.toMap(SignUpPages.SignUpNumbers::page, Function.identity()));
    return pages.all().stream().map(p -> shown(p, numbers.getOrDefault(p.id(), NONE))).toList();
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}")
  SignUpPageView find(@PathVariable long id) {
    return shown(pages.find(id));
  }

  private SignUpPageView shown(SignUpPage page) {
    return shown(
        page, pages.numbers().stream().filter(n -> n.page() == page.id()).findFirst().orElse(NONE));
  }

  private SignUpPageView shown(SignUpPage page, SignUpPages.SignUpNumbers numbers) {
    return new SignUpPageView(
        page.id(),
        settings.publicUrl() + "/join/" + page.body().key(),
        join.snippet(page),
        page.consentVersion(),
        numbers,
        page.body());
  }

  /** Fields that a page may ask for. */
  @Needs(Right.SEE)
  @GetMapping("/askable")
  List<AskableField> askable() {
    return pages.askable().stream()
        .map(f -> new AskableField(f.name(), f.label(), f.type()))
        .toList();
  }

  @Needs(Right.SIGN_UPS)
  @PostMapping
  SignUpPageView create(@RequestBody SignUpPageBody wanted) {
    return shown(pages.create(wanted));
  }

  @Needs(Right.SIGN_UPS)
  @PutMapping("/{id}")
  SignUpPageView save(@PathVariable long id, @RequestBody SignUpPageBody wanted) {
    return shown(pages.save(id, wanted));
  }

  /** How a page would look to its readers. */
  @Needs(Right.SEE)
  @PostMapping("/proof/{language}")
  PageProof proof(@PathVariable String language, @RequestBody SignUpPageBody wanted) {
    return new PageProof(join.proof(wanted, language));
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}/people")
  List<SignUpDesk.SignedUp> people(@PathVariable long id) {
    return desk.ofPage(id);
  }

  /** What a person agreed to, and when: the evidence. */
  @Needs(Right.SEE)
  @GetMapping("/of-person/{person}")
  List<SignUpDesk.SignedUp> ofPerson(@PathVariable PersonId person) {
    return desk.ofPerson(person);
  }

  /** Which of what somebody said otherwise goes on record. */
  record SignUpSettling(
      @Schema(description = "names of fields; none keeps all") List<String> take) {}

  @Needs(Right.SIGN_UPS)
  @PostMapping("/people/{signUp}/settle")
  SignUpSettled settle(@PathVariable long signUp, @RequestBody SignUpSettling wanted) {
    return new SignUpSettled(desk.settle(signUp, wanted.take()));
  }
}
