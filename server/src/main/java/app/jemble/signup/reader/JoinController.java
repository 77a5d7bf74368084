package app.jemble.signup.reader;

import app.jemble.core.message.PublicToken;
import app.jemble.core.reach.Channel;
import app.jemble.core.signup.FormSeal;
import app.jemble.core.signup.ReaderLanguage;
import app.jemble.core.signup.SignUpForm;
import app.jemble.mark.MarkController;
import app.jemble.signup.SignUp;
import app.jemble.signup.SignUpPage;
import app.jemble.signup.SignUpPages;
import app.jemble.signup.SignUps;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.time.Clock;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * Where people sign themselves up. Looking changes nothing but a number; a post is taken of those
 * who had time to fill the form; the button on the page that the mail leads to confirms.
 */
@Hidden
@RestController
@RequestMapping("/join")
public class JoinController {

  private static final String RETRY_SECONDS = "60";

  private final SignUpPages pages;
  private final SignUps signUps;
  private final JoinPages html;
  private final PostLimits limits;
  private final WorkspaceService workspace;
  private final Clock clock;

  JoinController(
      SignUpPages pages,
      SignUps signUps,
      JoinPages html,
      PostLimits limits,
      WorkspaceService workspace,
      Clock clock) {
    this.pages = pages;
    this.signUps = signUps;
    this.html = html;
    this.limits = limits;
    this.workspace = workspace;
    this.clock = clock;
  }

  @GetMapping("/{key}")
  ResponseEntity<String> look(
      @PathVariable String key,
      @RequestParam(required = false) String lang,
      @RequestHeader(value = "Accept-Language", required = false) String accepted) {
    Optional<SignUpPage> page = pages.byKey(key);
    if (page.isEmpty()) {
      return MarkController.unknown();
    }
    ReaderLanguage language = language(page.get(), lang, accepted);
    if (!page.get().body().open()) {
      return answer(HttpStatus.GONE, html.said("closed", language));
    }
    pages.seen(page.get());
    return answer(HttpStatus.OK, html.form(page.get(), language));
  }

  /** Fetched by the form itself as soon as somebody puts the cursor into it. */
  @GetMapping("/{key}/began")
  ResponseEntity<Void> began(@PathVariable String key) {
    pages.byKey(key).filter(p -> p.body().open()).ifPresent(pages::begun);
    return ResponseEntity.noContent().cacheControl(CacheControl.noStore()).build();
  }

  @PostMapping(value = "/{key}", consumes = MediaType.APPLICATION_FORM_URLENCODED_VALUE)
  ResponseEntity<String> ask(
      @PathVariable String key,
      @RequestParam MultiValueMap<String, String> posted,
      @RequestHeader(value = "Accept-Language", required = false) String accepted,
      HttpServletRequest request) {
    if (!limits.isTaken(request.getRemoteAddr())) {
      ReaderLanguage language =
          ReaderLanguage.best(accepted, EnumSet.allOf(ReaderLanguage.class))
              .orElse(ReaderLanguage.EN);
      return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
          .header("Retry-After", RETRY_SECONDS)
          .contentType(MediaType.TEXT_HTML)
          .cacheControl(CacheControl.noStore())
          .body(html.said("tooMany", language));
    }
    Optional<SignUpPage> found = pages.byKey(key);
    if (found.isEmpty()) {
      return MarkController.unknown();
    }
    SignUpPage page = found.get();
    ReaderLanguage language = language(page, posted.getFirst("lang"), accepted);
    if (!page.body().open()) {
      return answer(HttpStatus.GONE, html.said("closed", language));
    }
    return take(page, language, posted, request.getRemoteAddr());
  }

  private ResponseEntity<String> take(
      SignUpPage page, ReaderLanguage language, MultiValueMap<String, String> posted, String from) {
    Map<String, String> texts = new HashMap<>(posted.toSingleValueMap());
    Set<Long> topics = topics(posted.get("topic"));
    SignUpForm.Reading reading = pages.form(page).read(texts, workspace.reader());
    Set<Channel> ways = ways(posted.get("way"));
    JoinPages.Given given = new JoinPages.Given(texts, topics, ways, reading.faults());
    if (!texts.getOrDefault("website", "").isEmpty()) {
      // Nobody sees that field; software that fills it is told what people are told.
      return asked(page, language);
    }
    if (!FormSeal.isTaken(posted.getFirst("seal"), clock.instant(), workspace.secret())) {
      return answer(HttpStatus.OK, html.form(page, language, given, "lookOver"));
    }
    if (!reading.isGood()) {
      return answer(HttpStatus.UNPROCESSABLE_CONTENT, html.form(page, language, given, "faults"));
    }
    signUps.ask(page, reading, topics, ways, language, from);
    return asked(page, language);
  }

  private static Set<Long> topics(List<String> posted) {
    Set<Long> topics = new HashSet<>();
    if (posted != null) {
      posted.stream().filter(t -> t.matches("\\d{1,18}")).forEach(t -> topics.add(Long.valueOf(t)));
    }
    return topics;
  }

  /** What is no way is passed over. */
  private static Set<Channel> ways(List<String> posted) {
    Set<Channel> ways = EnumSet.noneOf(Channel.class);
    for (Channel way : Channel.values()) {
      if (posted != null && posted.contains(way.name())) {
        ways.add(way);
      }
    }
    return ways;
  }

  /** By way of a page of its own, so that a reload posts nothing again. */
  private static ResponseEntity<String> asked(SignUpPage page, ReaderLanguage language) {
    return ResponseEntity.status(HttpStatus.SEE_OTHER)
        .location(URI.create("/join/" + page.body().key() + "/asked?lang=" + language.tag()))
        .cacheControl(CacheControl.noStore())
        .build();
  }

  @GetMapping("/{key}/asked")
  ResponseEntity<String> afterAsking(
      @PathVariable String key, @RequestParam(required = false) String lang) {
    return pages
        .byKey(key)
        .map(page -> answer(HttpStatus.OK, html.said("asked", language(page, lang, null))))
        .orElseGet(MarkController::unknown);
  }

  /** Whoever fetches the link of the mail confirms nothing: its button does. */
  @GetMapping("/confirm/{token}")
  ResponseEntity<String> lookAtConfirming(@PathVariable String token) {
    return signUp(token).map(signUp -> shown(signUp, false)).orElseGet(MarkController::unknown);
  }

  @PostMapping("/confirm/{token}")
  ResponseEntity<String> confirm(@PathVariable String token, HttpServletRequest request) {
    if (!PublicToken.isGenuine(token, workspace.secret())) {
      return MarkController.unknown();
    }
    boolean justNow = signUps.confirm(token, request.getRemoteAddr());
    return signUps.find(token).map(s -> shown(s, justNow)).orElseGet(MarkController::unknown);
  }

  private Optional<SignUp> signUp(String token) {
    return PublicToken.isGenuine(token, workspace.secret())
        ? signUps.find(token)
        : Optional.empty();
  }

  private ResponseEntity<String> shown(SignUp signUp, boolean justNow) {
    ReaderLanguage language = ReaderLanguage.of(signUp.language()).orElse(ReaderLanguage.EN);
    SignUpPage page = pages.find(signUp.pageId());
    return answer(
        HttpStatus.OK,
        switch (signUps.standing(signUp)) {
          case WAITS -> html.confirm(signUp.address(), language);
          case CONFIRMED -> justNow ? html.thanks(page, language) : html.said("already", language);
          case OVER -> html.over(page, language);
        });
  }

  /** As the reader asks, else as their browser does, else the page's main one. */
  private static ReaderLanguage language(SignUpPage page, String asked, String accepted) {
    return ReaderLanguage.of(asked)
        .or(() -> ReaderLanguage.best(accepted, EnumSet.allOf(ReaderLanguage.class)))
        .orElse(page.languages().get(0));
  }

  private static ResponseEntity<String> answer(HttpStatus status, String html) {
    return ResponseEntity.status(status)
        .contentType(MediaType.TEXT_HTML)
        .cacheControl(CacheControl.noStore())
        .body(html);
  }
}
