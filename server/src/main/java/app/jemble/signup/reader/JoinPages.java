package app.jemble.signup.reader;

import app.jemble.core.reach.Channel;
import app.jemble.core.signup.FormSeal;
import app.jemble.core.signup.ReaderLanguage;
import app.jemble.core.signup.SignUpForm;
import app.jemble.core.signup.SignUpForm.Fault;
import app.jemble.page.PageWords;
import app.jemble.page.PublicPages;
import app.jemble.settings.JembleSettings;
import app.jemble.signup.SignUpPage;
import app.jemble.signup.SignUpPageBody;
import app.jemble.signup.SignUpPages;
import app.jemble.signup.SignUpWords;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;

/** The pages of signing up, as HTML, and the form for other sites. */
@Component
public class JoinPages {

  /**
   * The page with the form.
   *
   * @param language of what ships; {@code written} that of what the house says
   */
  public record Join(
      String key,
      String language,
      String written,
      String title,
      String intro,
      String consent,
      String notice,
      String noticeLine,
      String seal,
      String button,
      List<Question> questions,
      List<Topic> topics,
      List<Way> ways,
      List<Language> languages,
      Map<String, String> words) {}

  /** A topic that can be ticked. */
  public record Topic(long id, String name, boolean ticked) {}

  /** A way that can be ticked. */
  public record Way(String channel, String name, boolean ticked) {}

  /** A language in which the page can be read. */
  public record Language(String tag, String name) {}

  /** What is said after a step. */
  public record Said(
      String language,
      String written,
      String title,
      String line,
      String address,
      String button,
      String link,
      String linkWords) {}

  /** The form for another site. */
  public record Snippet(
      String address,
      String language,
      List<Question> questions,
      List<Topic> topics,
      List<Way> ways,
      String consent,
      String button) {}

  /** What was typed, and what of it is wrong. */
  record Given(
      Map<String, String> texts, Set<Long> topics, Set<Channel> ways, Map<String, Fault> faults) {
    static final Given NOTHING = new Given(Map.of(), Set.of(), Set.of(), Map.of());
  }

  /** What stands below what is said; each may be empty. */
  private record More(String address, String button, String link) {}

  private static final More NO_MORE = new More("", "", "");

  private static final List<Language> LANGUAGES =
      List.of(ReaderLanguage.values()).stream()
          .map(l -> new Language(l.tag(), l.ownName()))
          .toList();

  private final PublicPages pages;
  private final SignUpPages signUpPages;
  private final WorkspaceService workspace;
  private final JembleSettings settings;
  private final Clock clock;

  JoinPages(
      PublicPages pages,
      SignUpPages signUpPages,
      WorkspaceService workspace,
      JembleSettings settings,
      Clock clock) {
    this.pages = pages;
    this.signUpPages = signUpPages;
    this.workspace = workspace;
    this.settings = settings;
    this.clock = clock;
  }

  /** The form, as it is first opened. */
  String form(SignUpPage page, ReaderLanguage language) {
    return form(page, language, Given.NOTHING, "");
  }

  /**
   * The form with what was typed.
   *
   * @param notice which words stand above it: {@code faults}, {@code lookOver}, or none
   */
  String form(SignUpPage page, ReaderLanguage language, Given given, String notice) {
    Map<String, String> words = PageWords.of(language);
    SignUpPageBody.WrittenWords written = page.written(language);
    SignUpWords own = written.words();
    return pages.html(
        "join.ftlh",
        new Join(
            page.body().key(),
            language.tag(),
            written.language().tag(),
            own.title(),
            own.intro(),
            own.consent(),
            words.getOrDefault(notice, ""),
            words.getOrDefault(notice + "Line", ""),
            FormSeal.of(clock.instant(), workspace.secret()),
            words.get(notice.equals("lookOver") ? "sendAgain" : "send"),
            Question.of(signUpPages.form(page), given.texts(), given.faults(), words),
            topics(page, given.topics()),
            ways(page, given.ways(), words),
            LANGUAGES,
            words));
  }

  private List<Topic> topics(SignUpPage page, Set<Long> ticked) {
    return workspace.topics().stream()
        .filter(t -> page.body().topics().contains(t.id()))
        .map(t -> new Topic(t.id(), t.name(), ticked.contains(t.id())))
        .toList();
  }

  private static List<Way> ways(SignUpPage page, Set<Channel> ticked, Map<String, String> words) {
    return page.body().ways().stream()
        .filter(SignUpForm.OFFERED::contains)
        .map(way -> new Way(way.name(), words.get("way." + way.name()), ticked.contains(way)))
        .toList();
  }

  /** How a page would look that is not saved yet. */
  public String proof(SignUpPageBody wanted, String language) {
    ReaderLanguage read = ReaderLanguage.of(language).orElse(ReaderLanguage.EN);
    return form(new SignUpPage(0, 1, 0, wanted), read);
  }

  /** What another site puts into a page of its own, in the page's main language. */
  public String snippet(SignUpPage page) {
    ReaderLanguage language = page.languages().get(0);
    Map<String, String> words = PageWords.of(language);
    return pages
        .html(
            "snippet.ftlh",
            new Snippet(
                settings.publicUrl() + "/join/" + page.body().key(),
                language.tag(),
                Question.of(signUpPages.form(page), Map.of(), Map.of(), words),
                topics(page, Set.of()),
                ways(page, Set.of(), words),
                page.written(language).words().consent(),
                words.get("send")))
        .strip();
  }

  /** Says something of what ships: {@code asked}, {@code tooMany}, {@code closed}, … */
  String said(String what, ReaderLanguage language) {
    Map<String, String> words = PageWords.of(language);
    return said(language, language, words.get(what), words.get(what + "Line"), NO_MORE);
  }

  /** The page whose button confirms. */
  String confirm(String address, ReaderLanguage language) {
    Map<String, String> words = PageWords.of(language);
    return said(
        language,
        language,
        words.get("confirm"),
        words.get("confirmLine"),
        new More(address, words.get("confirmButton"), ""));
  }

  /** The house's thanks; those that ship where it has written none. */
  String thanks(SignUpPage page, ReaderLanguage language) {
    Map<String, String> words = PageWords.of(language);
    SignUpPageBody.WrittenWords written = page.written(language);
    String own = written.words().thanks();
    return said(
        language,
        own.isEmpty() ? language : written.language(),
        words.get("thanks"),
        own.isEmpty() ? words.get("thanksLine") : own,
        NO_MORE);
  }

  /** A link that came too late leads to the page once more. */
  String over(SignUpPage page, ReaderLanguage language) {
    Map<String, String> words = PageWords.of(language);
    String link = "/join/" + page.body().key() + "?lang=" + language.tag();
    return said(
        language, language, words.get("over"), words.get("overLine"), new More("", "", link));
  }

  private String said(
      ReaderLanguage language, ReaderLanguage written, String title, String line, More more) {
    return pages.html(
        "joined.ftlh",
        new Said(
            language.tag(),
            written.tag(),
            title,
            line,
            more.address(),
            more.button(),
            more.link(),
            PageWords.of(language).get("again")));
  }
}
