package app.jemble.signup;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import app.jemble.core.signup.ReaderLanguage;
import app.jemble.core.signup.SignUpForm;
import app.jemble.people.WantedValues;
import app.jemble.problem.Problem;
import app.jemble.series.OpenSeries;
import app.jemble.signup.SignUpPageMapper.Counted;
import app.jemble.signup.SignUpPageMapper.Row;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.ObjectMapper;

/** Sign-up pages: how they are made and found. */
@Service
public class SignUpPages {

  /**
   * How many of a page, since it was made.
   *
   * @param looks how many confirmed and said something that differs from the record
   */
  public record SignUpNumbers(
      long page, long saw, long began, long asked, long confirmed, long looks) {}

  private static final Pattern KEY = Pattern.compile("[a-z0-9][a-z0-9-]{1,58}[a-z0-9]");
  private static final Set<String> KINDS = Set.of("contact", "lead", "member");
  private static final int MOST_ASKS = 30;
  private static final int LONGEST = 5000;

  private final SignUpPageMapper mapper;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final OpenSeries series;
  private final ObjectMapper json;
  private final Clock clock;

  SignUpPages(
      SignUpPageMapper mapper,
      WorkspaceService workspace,
      AccountService accounts,
      OpenSeries series,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.accounts = accounts;
    this.series = series;
    this.json = json;
    this.clock = clock;
  }

  public List<SignUpPage> all() {
    return mapper.all().stream().map(this::page).toList();
  }

  /** A problem when there is none. */
  public SignUpPage find(long id) {
    Row row = mapper.find(id);
    if (row == null) {
      throw Problem.notFound("There is no such sign-up page any more.");
    }
    return page(row);
  }

  public Optional<SignUpPage> byKey(String key) {
    return Optional.ofNullable(mapper.byKey(key)).map(this::page);
  }

  public List<SignUpNumbers> numbers() {
    return mapper.numbers();
  }

  /** The questions of a page; a field that was taken away since is not asked. */
  public SignUpForm form(SignUpPage page) {
    FieldCatalogue fields = workspace.fields();
    return new SignUpForm(
        page.body().asks().stream()
            .flatMap(
                ask ->
                    fields.find(ask.field()).stream()
                        .filter(SignUpForm::mayAsk)
                        .map(field -> new SignUpForm.Asked(field, ask.required())))
            .toList());
  }

  /** The fields that a page may ask for. */
  public List<Field> askable() {
    return workspace.fields().all(FieldUse.EDIT).stream().filter(SignUpForm::mayAsk).toList();
  }

  @Transactional
  public SignUpPage create(SignUpPageBody wanted) {
    long by = accounts.currentWriter().id();
    Row row = row(0, 1, by, checked(wanted, null));
    try {
      return find(mapper.create(row, languages(wanted), clock.instant(), by));
    } catch (DuplicateKeyException taken) {
      throw taken(wanted);
    }
  }

  /** Whether the words of consent are others is seen here, and counted. */
  @Transactional
  public SignUpPage save(long id, SignUpPageBody wanted) {
    accounts.currentWriter();
    SignUpPage now = find(id);
    checked(wanted, now.body().series());
    int consents = now.consentVersion() + (consents(now.body()).equals(consents(wanted)) ? 0 : 1);
    try {
      if (mapper.save(row(id, consents, now.madeBy(), wanted), languages(wanted)) == 0) {
        throw Problem.conflict(
            "Somebody else has changed this page meanwhile. Look at theirs, then save again.");
      }
    } catch (DuplicateKeyException taken) {
      throw taken(wanted);
    }
    return find(id);
  }

  void count(long page, Counted what) {
    mapper.count(page, clock.instant().atZone(workspace.current().zoneId()).toLocalDate(), what);
  }

  /** Somebody opened a page. */
  public void seen(SignUpPage page) {
    count(page.id(), Counted.SAW);
  }

  /** Somebody put the cursor into its form. */
  public void begun(SignUpPage page) {
    count(page.id(), Counted.BEGAN);
  }

  private static Map<ReaderLanguage, String> consents(SignUpPageBody body) {
    Map<ReaderLanguage, String> all = new LinkedHashMap<>();
    body.words().forEach(w -> all.put(w.language(), w.words().consent()));
    return all;
  }

  private SignUpPageBody checked(SignUpPageBody wanted, Long seriesNow) {
    if (wanted.name() == null || wanted.name().isBlank()) {
      throw Problem.wrong("name", "Give the page a name.");
    }
    if (wanted.key() == null || !KEY.matcher(wanted.key()).matches()) {
      throw Problem.wrong(
          "key",
          "The address takes 3 to 60 small letters, digits and hyphens, such as “harbour-news”.");
    }
    if (!KINDS.contains(Objects.requireNonNullElse(wanted.kind(), ""))) {
      throw Problem.wrong("kind", "People who are new are contacts, leads or members.");
    }
    checkWords(wanted);
    checkAsks(wanted);
    Set<Long> topics = new HashSet<>();
    workspace.topics().forEach(topic -> topics.add(topic.id()));
    if (!topics.containsAll(wanted.topics())) {
      throw Problem.wrong("topics", "One of the topics is not there any more.");
    }
    if (wanted.series() != null && !wanted.series().equals(seriesNow)) {
      openToAll(wanted.series());
    }
    if (wanted.tag() != null) {
      WantedValues.tag(wanted.tag());
    }
    for (Long colleague : Arrays.asList(wanted.owner(), wanted.tell())) {
      Account named = colleague == null ? null : accounts.find(colleague);
      if (colleague != null && (named == null || named.off())) {
        throw Problem.wrong("owner", "This colleague is not there any more.");
      }
    }
    return wanted;
  }

  /** A page is everybody's, and with it the series that it leads to. */
  private void openToAll(long seriesId) {
    if (series.find(seriesId).isPrivate()) {
      throw Problem.wrong("series", "A page of the house leads to no private series.");
    }
  }

  private static void checkWords(SignUpPageBody wanted) {
    Set<ReaderLanguage> written = new HashSet<>();
    for (SignUpPageBody.WrittenWords in : wanted.words()) {
      if (in.language() == null || in.words() == null || !written.add(in.language())) {
        throw Problem.wrong("words", "Each language is written once.");
      }
      if (in.words().title().isEmpty() || in.words().consent().isEmpty()) {
        throw Problem.wrong(
            "words",
            in.language().ownName() + " needs a title and the words that the reader agrees to.");
      }
      if (in.words().byName().values().stream().anyMatch(text -> text.length() > LONGEST)) {
        throw Problem.wrong("words", "A text of a page has at most 5,000 letters.");
      }
    }
    if (written.isEmpty()) {
      throw Problem.wrong("words", "Write the page in one language at least.");
    }
  }

  private void checkAsks(SignUpPageBody wanted) {
    Set<String> asked = new HashSet<>();
    Set<String> askable = new HashSet<>();
    askable().forEach(field -> askable.add(field.name()));
    for (SignUpPageBody.AskedField ask : wanted.asks()) {
      if (!askable.contains(ask.field())) {
        throw Problem.wrong("asks", "A page that anybody can open does not ask for this field.");
      }
      if (!asked.add(ask.field())) {
        throw Problem.wrong("asks", "Each field is asked once.");
      }
    }
    if (!SignUpForm.OFFERED.containsAll(wanted.ways())) {
      throw Problem.wrong("ways", "Beside e-mail a page can offer texts and the app.");
    }
    if (!wanted.ways().stream().allMatch(way -> SignUpForm.asksEnoughFor(way, asked))) {
      throw Problem.wrong("ways", "Who may tick texts is to be asked for their phone too.");
    }
    if (asked.size() > MOST_ASKS) {
      throw Problem.wrong("asks", "A page asks for at most " + MOST_ASKS + " fields.");
    }
  }

  private static Problem taken(SignUpPageBody wanted) {
    return Problem.wrong("key", "Another page has the address “" + wanted.key() + "”.");
  }

  private Row row(long id, int consentVersion, long madeBy, SignUpPageBody body) {
    Map<String, SignUpWords> words = new LinkedHashMap<>();
    body.words().forEach(w -> words.put(w.language().tag(), w.words()));
    return new Row(
        id,
        body.key(),
        body.name().strip(),
        body.open(),
        json.writeValueAsString(body.asks()),
        json.writeValueAsString(body.topics()),
        json.writeValueAsString(body.ways()),
        json.writeValueAsString(words),
        body.kind(),
        blankIsNone(body.source()),
        blankIsNone(body.tag()),
        body.owner(),
        body.series(),
        body.tell(),
        consentVersion,
        body.version(),
        madeBy);
  }

  private static String blankIsNone(String text) {
    return text == null || text.isBlank() ? null : text.strip();
  }

  private String languages(SignUpPageBody body) {
    return json.writeValueAsString(body.words().stream().map(w -> w.language().tag()).toList());
  }

  private SignUpPage page(Row row) {
    return new SignUpPage(
        row.id(),
        row.consentVersion(),
        row.madeBy(),
        new SignUpPageBody(
            row.name(),
            row.key(),
            row.open(),
            List.of(json.readValue(row.asks(), SignUpPageBody.AskedField[].class)),
            List.of(json.readValue(row.topics(), Long[].class)),
            List.of(json.readValue(row.ways(), Channel[].class)),
            List.of(json.readValue(row.words(), SignUpPageBody.WrittenWords[].class)),
            row.kind(),
            row.source(),
            row.tag(),
            row.ownerId(),
            row.seriesId(),
            row.tellId(),
            row.version()));
  }
}
