package app.jemble.core.merge;

import app.jemble.core.message.LetterText;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** Texts that nobody would write, read and merged as any other. */
public final class RandomTemplates {

  /** What the machine does besides is no fault of a text. */
  private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

  private static final List<String> PIECES =
      List.of(
          "{{",
          "}}",
          "{{{",
          "#",
          "^",
          "/",
          "!",
          ">",
          "&",
          "=",
          "first_name",
          "organisation.name",
          "renews_on",
          "dues_owed",
          "nobody",
          " or ",
          " as ",
          "\"d MMMM yyyy\"",
          "\"",
          "“",
          "”",
          "money",
          "capitals",
          "signature",
          "<a href=\"",
          "<p>",
          "</p>",
          "<",
          ">",
          "<img src='",
          "<b",
          "[date]",
          "\n",
          " ",
          "é",
          "🚤",
          "\u202e",
          "\0",
          "{{first_name}}",
          "{{#dues_owed}}",
          "{{/dues_owed}}",
          "{{first_name or \"friend\"}}",
          "&quot;",
          "&#",
          "-->");

  private static final FieldCatalogue FIELDS = YardFields.standard();

  private static final Values SOMEBODY =
      Values.of(
          Map.of(
              "first_name",
              FieldValue.text("Bea <b>\r\n{{x}}"),
              "last_name",
              FieldValue.text("O'Neil")),
          Map.of());

  private final Random random;

  public RandomTemplates(long seed) {
    random = new Random(seed);
  }

  private String next() {
    StringBuilder text = new StringBuilder();
    int pieces = random.nextInt(random.nextInt(100) == 0 ? 400 : 30);
    for (int i = 0; i < pieces; i++) {
      text.append(PIECES.get(random.nextInt(PIECES.size())));
    }
    return text.toString();
  }

  /**
   * Reads and merges so many; answers how long the slowest kept a processor busy, in milliseconds.
   */
  public long read(int count) {
    long slowest = 0;
    for (int i = 0; i < count; i++) {
      String text = next();
      long begun = THREADS.getCurrentThreadCpuTime();
      try {
        readOne(text);
      } catch (RuntimeException | StackOverflowError thrown) {
        throw new AssertionError("this text is not read: " + text, thrown);
      }
      // The first of all load classes.
      slowest =
          i < 100 ? 0 : Math.max(slowest, (THREADS.getCurrentThreadCpuTime() - begun) / 1_000_000);
    }
    return slowest;
  }

  private static void readOne(String text) {
    for (TemplateParser.Kind kind : TemplateParser.Kind.values()) {
      TemplateParser.parse(text, kind, FIELDS, Map.of("signature", "Yours, {{first_name}}"))
          .template()
          .ifPresent(t -> Renderer.render(t, SOMEBODY, Locale.ENGLISH, ZoneId.of("Europe/London")));
    }
    LetterText.errors(new LetterText.Written(text, SafeHtml.clean(text)), FIELDS);
  }
}
