package app.jemble.core.message;

import app.jemble.core.merge.Escaping;
import app.jemble.core.merge.FieldNames;
import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.Template;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Puts one person's message together from a text made ready. */
public final class MessageComposer {

  /**
   * What is the same for every message of a mailing.
   *
   * @param text its words; a person with words of their own brings others
   * @param from who writes
   * @param replyTo where replies go, when not to who writes
   * @param zone the workspace's zone
   * @param publicUrl where marks, links and the leaving page are found, without a final slash
   * @param returnDomain the domain of envelope senders and Message-IDs
   * @param counting which responses are counted
   * @param mayLeave whether the message can be left by one click
   * @param pictures the pictures on record
   * @param files attached to every message
   */
  public record Shared(
      LetterText text,
      Mailbox from,
      Optional<Mailbox> replyTo,
      ZoneId zone,
      String publicUrl,
      String returnDomain,
      Counting counting,
      boolean mayLeave,
      Pictures pictures,
      List<AttachedFile.Named> files) {
    public Shared {
      files = List.copyOf(files);
    }

    /** The same with words for one person alone. */
    public Shared saying(LetterText own) {
      return new Shared(
          own, from, replyTo, zone, publicUrl, returnDomain, counting, mayLeave, pictures, files);
    }
  }

  /** Which responses are counted; whether links are was decided when the text was made ready. */
  public record Counting(boolean opens) {}

  /**
   * What is one person's own.
   *
   * @param language the person's, for dates, money and lists
   * @param token the message's public token; a copy's is that of no message; empty for what does
   *     not leave
   * @param isProof whether it is only looked at: nothing is counted, and leaving is a sample
   */
  public record Own(
      Mailbox to,
      Values values,
      Locale language,
      Instant date,
      String token,
      boolean isProof,
      ThreadPlace thread) {

    /** One person's message, as it leaves. */
    public Own(
        Mailbox to,
        Values values,
        Locale language,
        Instant date,
        String token,
        ThreadPlace thread) {
      this(to, values, language, date, token, token.isEmpty(), thread);
    }

    /** What it is called in Message-IDs and return addresses. */
    private String id() {
      return token.isEmpty() ? proofId(date) : token;
    }
  }

  /** Where leaving leads in what is only looked at: a page that says so. */
  public static final String SAMPLE = "sample";

  /**
   * A message and what was missing for it.
   *
   * @param missing fields without a value and without a fallback
   * @param targets where its links lead; {@code #} where one leads nowhere, {@code #astray} where
   *     it may not be followed
   */
  public record Composed(OutgoingMessage message, Set<String> missing, List<String> targets) {
    public Composed {
      missing = FieldNames.inOrder(missing);
      targets = List.copyOf(targets);
    }

    /** Whether a link of it leads nowhere. */
    public boolean leadsNowhere() {
      return targets.contains(NOWHERE);
    }

    /** Whether a link of it leads where links may not: anywhere but http, https, mailto, tel. */
    public boolean leadsAstray() {
      return targets.contains(ASTRAY);
    }
  }

  /** Where a link leads whose field has no value. */
  private static final String NOWHERE = "#";

  /** Where one leads that may not be followed. */
  private static final String ASTRAY = "#astray";

  private final Shared shared;
  private final Own own;
  private final Set<String> missing = new TreeSet<>();
  private final List<String> targets = new ArrayList<>();

  private MessageComposer(Shared shared, Own own) {
    this.shared = shared;
    this.own = own;
  }

  public static Composed compose(Shared shared, Own own) {
    return new MessageComposer(shared, own).compose();
  }

  private Composed compose() {
    LetterText text = shared.text();
    for (Template link : text.links()) {
      targets.add(target(render(link, own.values())));
    }
    String subject = render(text.subject(), own.values());
    String html = render(text.html(), field -> inMessage(field, true));
    String plain = squeezed(render(text.text(), field -> inMessage(field, false)));
    String id = own.id();
    CarriedPictures carried = CarriedPictures.in(html, shared.pictures(), shared.returnDomain());
    OutgoingMessage message =
        new OutgoingMessage(
            "<" + id + "@" + shared.returnDomain() + ">",
            own.date(),
            shared.from(),
            shared.replyTo(),
            own.to(),
            Escaping.oneLine(subject),
            carried.html(),
            plain,
            carried.pictures(),
            files(),
            own.thread(),
            own.isProof() || !shared.text().countsLinks() ? List.of() : countedTargets(),
            leaveAddress(),
            "return+" + id + "@" + shared.returnDomain(),
            false);
    return new Composed(message, missing, targets);
  }

  private String target(String written) {
    // What escaping made of a value that is no address is that sign already.
    boolean nowhere = written.isBlank() || written.equals(NOWHERE);
    return nowhere ? NOWHERE : WebAddress.normal(written).orElse(ASTRAY);
  }

  private String render(Template template, Values values) {
    Renderer.Rendered rendered = Renderer.render(template, values, own.language(), shared.zone());
    missing.addAll(rendered.missing());
    return rendered.text();
  }

  private List<AttachedFile> files() {
    List<AttachedFile> files = new ArrayList<>(shared.files().size());
    for (AttachedFile.Named file : shared.files()) {
      String name = Escaping.oneLine(render(file.name(), own.values())).replaceAll("[/\\\\]", "-");
      files.add(new AttachedFile(name.isEmpty() ? "attachment" : name, file.type(), file.octets()));
    }
    return files;
  }

  /** The message's own fields first, then the person's. */
  private FieldValue inMessage(String field, boolean inHtml) {
    if (field.equals(MessageFields.LEAVE)) {
      return FieldValue.text(leaveAddress().orElse(NOWHERE));
    }
    if (field.equals(MessageFields.MARK)) {
      boolean marked = shared.counting().opens() && !own.isProof();
      return marked
          ? FieldValue.text(shared.publicUrl() + "/o/" + own.token() + ".gif")
          : FieldValue.EMPTY;
    }
    int number = MessageFields.linkNumber(field);
    return number < 0 ? own.values().get(field) : FieldValue.text(linkAddress(number, inHtml));
  }

  /** In HTML the counting address; in plain text, and in a proof, where the link truly leads. */
  private String linkAddress(int number, boolean inHtml) {
    String target = targets.get(number);
    return inHtml && isCounted(target)
        ? shared.publicUrl() + "/l/" + own.token() + "/" + number
        : target;
  }

  private boolean isCounted(String target) {
    return shared.text().countsLinks() && !own.isProof() && MessageFields.isWeb(target);
  }

  private List<String> countedTargets() {
    return targets.stream().map(target -> isCounted(target) ? target : "").toList();
  }

  private Optional<String> leaveAddress() {
    boolean leaves = shared.mayLeave() || shared.text().namesLeaving();
    String whose = own.isProof() ? SAMPLE : own.token();
    return leaves ? Optional.of(shared.publicUrl() + "/leave/" + whose) : Optional.empty();
  }

  /** A passage that did not show leaves empty lines behind; never more than one stays. */
  private static String squeezed(String text) {
    StringBuilder out = new StringBuilder(text.length());
    int copied = 0;
    while (copied < text.length() && text.charAt(copied) == '\n') {
      copied++;
    }
    for (int at = text.indexOf("\n\n\n", copied); at >= 0; at = text.indexOf("\n\n\n", copied)) {
      out.append(text, copied, at + 2);
      copied = at + 3;
      while (copied < text.length() && text.charAt(copied) == '\n') {
        copied++;
      }
    }
    return out.append(text, copied, text.length()).toString();
  }

  private static String proofId(Instant date) {
    return "proof." + date.getEpochSecond() + "." + date.getNano();
  }
}
