package app.jemble.core.message;

import app.jemble.core.merge.FieldNames;
import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.Template;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.message.TextWording.Likeness;
import app.jemble.core.reach.Address;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.text.LargerAlphabet;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A text message made ready to be merged for one person after another.
 *
 * @param words parsed as plain text
 * @param likeness where characters become their plain likeness
 */
public record TextLetter(Template words, Likeness likeness) {

  /** Signs at the end of a sentence that belong to no address (common practice). */
  private static final Pattern ADDRESS =
      Pattern.compile("https?://[^\\s<>\"]*[^\\s<>\".,;:!?)\\]'’”»]", Pattern.CASE_INSENSITIVE);

  /** What came of it: a letter where there are no errors. */
  public record Prepared(Optional<TextLetter> letter, List<TemplateError> errors) {
    public Prepared {
      errors = List.copyOf(errors);
    }
  }

  /** Reads a wording; errors are those of the text as it was written. */
  public static Prepared prepare(TextWording wording, FieldCatalogue fields) {
    TemplateParser.Parsed parsed = TemplateParser.parse(wording.words(), Kind.PLAIN_TEXT, fields);
    return new Prepared(
        parsed.template().map(words -> new TextLetter(words, wording.likeness())), parsed.errors());
  }

  /** Every field of the records that it asks for, in order of first use. */
  public Set<String> fields() {
    Set<String> fields = new LinkedHashSet<>(words.fields());
    fields.remove(MessageFields.LEAVE);
    return fields;
  }

  /**
   * What is the same for every text of a cause.
   *
   * @param from the number or the name that they come from
   * @param zone the workspace's zone
   * @param publicUrl where links and the leaving page are found, without a final slash
   * @param countsLinks whether links lead through a counting address
   */
  public record Shared(String from, ZoneId zone, String publicUrl, boolean countsLinks) {}

  /**
   * What is one person's own.
   *
   * @param token the message's public token; empty for what does not leave
   */
  public record Own(Address.Phone to, Values values, Locale language, String token) {}

  /**
   * A text and what was missing for it.
   *
   * @param missing fields without a value and without a fallback
   */
  public record Composed(OutgoingText message, Set<String> missing) {
    public Composed {
      missing = FieldNames.inOrder(missing);
    }
  }

  /** One person's text; its links, those in values too, are shortened to our own address. */
  public Composed compose(Shared shared, Own own) {
    String name = ShortName.of(own.token());
    String leave = shared.publicUrl() + "/leave/" + name;
    Values values =
        field ->
            field.equals(MessageFields.LEAVE)
                ? FieldValue.text(leave)
                : plain(own.values().get(field));
    Renderer.Rendered rendered = Renderer.render(words, values, own.language(), shared.zone());
    String text = tidy(rendered.text());
    if (likeness == Likeness.EVERYWHERE) {
      text = mended(text);
    }
    List<String> links = new ArrayList<>();
    if (shared.countsLinks()) {
      text = shortened(text, shared.publicUrl() + "/l/" + name + "/", leave, links);
    }
    return new Composed(
        new OutgoingText(own.token(), shared.from(), own.to(), text, links), rendered.missing());
  }

  private FieldValue plain(FieldValue value) {
    return likeness == Likeness.VALUES && value instanceof FieldValue.Text said
        ? FieldValue.text(LargerAlphabet.mended(said.text()))
        : value;
  }

  /** Plain but for addresses, which would lead elsewhere. */
  private static String mended(String text) {
    Matcher found = ADDRESS.matcher(text);
    StringBuilder out = new StringBuilder();
    int end = 0;
    while (found.find()) {
      out.append(LargerAlphabet.mended(text.substring(end, found.start()))).append(found.group());
      end = found.end();
    }
    return out.append(LargerAlphabet.mended(text.substring(end))).toString();
  }

  private static String shortened(String text, String base, String leave, List<String> links) {
    Matcher found = ADDRESS.matcher(text);
    StringBuilder out = new StringBuilder();
    while (found.find()) {
      Optional<String> target =
          found.group().equals(leave) ? Optional.empty() : WebAddress.normal(found.group());
      String shown = target.isPresent() ? base + links.size() : found.group();
      target.ifPresent(links::add);
      found.appendReplacement(out, Matcher.quoteReplacement(shown));
    }
    return found.appendTail(out).toString();
  }

  /** Line ends as phones know them, and none at the end. */
  private static String tidy(String text) {
    return text.replaceAll("\r\n?", "\n").replaceAll("\n{3,}", "\n\n").strip();
  }
}
