package app.jemble.bench;

import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.Template;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import freemarker.core.HTMLOutputFormat;
import freemarker.template.Configuration;
import freemarker.template.TemplateException;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.ZoneId;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;
import org.openjdk.jmh.runner.options.VerboseMode;

/**
 * A letter of 2 KB with eight fields and a section, rendered; the same by three general template
 * engines, each with its own escaping for HTML; and the same built by hand.
 */
@State(Scope.Thread)
public class MergeBench {

  private static final String FILLER =
      "The slipway opens on Saturday and the yard is busy with boats that want to be launched. "
          .repeat(10);

  /** In the open logic-less notation, which two of the engines read as it is. */
  private static final String LETTER =
      "<p>Dear {{first_name}} {{last_name}},</p><p>"
          + FILLER
          + "</p><p>Your {{plan}} membership, number {{number}}, and your berth"
          + " {{address.place}}.</p>{{#dues_owed}}<p>There is something outstanding.</p>"
          + "{{/dues_owed}}<p>"
          + FILLER
          + "</p><p>{{sender.name}}, {{sender.title}}<br>{{workspace.name}}</p>";

  private final Template template =
      TemplateParser.parse(LETTER, TemplateParser.Kind.HTML, FieldCatalogue.standard())
          .template()
          .orElseThrow();
  private final Map<String, String> texts =
      Map.of(
          "first_name", "Bea",
          "last_name", "Okonjo & Sons",
          "plan", "Sail",
          "number", "TQ-10042",
          "address.place", "Lowen Quay",
          "sender.name", "Orla Finch",
          "sender.title", "Membership administrator",
          "workspace.name", "Tern Quay Boatyard");
  private final Values values = values();

  private Values values() {
    Map<String, FieldValue> all = new HashMap<>();
    texts.forEach((name, text) -> all.put(name, FieldValue.text(text)));
    all.put("dues_owed", FieldValue.money(new BigDecimal("42.00"), "GBP"));
    return Values.of(all);
  }

  private final ZoneId zone = ZoneId.of("Europe/London");

  @Benchmark
  public String render() {
    return Renderer.render(template, values, Locale.UK, zone).text();
  }

  /** What general engines are given: the same texts, nested where a name has a dot. */
  private final Map<String, Object> nested =
      Map.of(
          "first_name",
          "Bea",
          "last_name",
          "Okonjo & Sons",
          "plan",
          "Sail",
          "number",
          "TQ-10042",
          "dues_owed",
          true,
          "address",
          Map.of("place", "Lowen Quay"),
          "sender",
          Map.of("name", "Orla Finch", "title", "Membership administrator"),
          "workspace",
          Map.of("name", "Tern Quay Boatyard"));

  private final com.samskivert.mustache.Template jmustache =
      com.samskivert.mustache.Mustache.compiler().escapeHTML(true).compile(LETTER);
  private final com.github.mustachejava.Mustache mustacheJava =
      new com.github.mustachejava.DefaultMustacheFactory()
          .compile(new StringReader(LETTER), "letter");
  private final freemarker.template.Template freemarker = freemarker();

  private static freemarker.template.Template freemarker() {
    Configuration settings = new Configuration(Configuration.VERSION_2_3_32);
    settings.setOutputFormat(HTMLOutputFormat.INSTANCE);
    String letter =
        LETTER
            .replace("{{#dues_owed}}", "<#if dues_owed>")
            .replace("{{/dues_owed}}", "</#if>")
            .replace("{{", "${")
            .replace("}}", "}");
    try {
      return new freemarker.template.Template("letter", letter, settings);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Benchmark
  public String jmustache() {
    return jmustache.execute(nested);
  }

  @Benchmark
  public String mustacheJava() {
    StringWriter out = new StringWriter(2400);
    mustacheJava.execute(out, nested);
    return out.toString();
  }

  @Benchmark
  public String freemarker2() throws TemplateException, IOException {
    StringWriter out = new StringWriter(2400);
    freemarker.process(nested, out);
    return out.toString();
  }

  /** The floor: what somebody would write who has one letter and no language. */
  @Benchmark
  public String floor() {
    StringBuilder out = new StringBuilder(2400);
    out.append("<p>Dear ");
    escape(out, texts.get("first_name"));
    out.append(' ');
    escape(out, texts.get("last_name"));
    out.append(",</p><p>").append(FILLER).append("</p><p>Your ");
    escape(out, texts.get("plan"));
    out.append(" membership, number ");
    escape(out, texts.get("number"));
    out.append(", and your berth ");
    escape(out, texts.get("address.place"));
    out.append(".</p><p>There is something outstanding.</p><p>").append(FILLER).append("</p><p>");
    escape(out, texts.get("sender.name"));
    out.append(", ");
    escape(out, texts.get("sender.title"));
    out.append("<br>");
    escape(out, texts.get("workspace.name"));
    return out.append("</p>").toString();
  }

  private static void escape(StringBuilder out, String value) {
    for (int i = 0; i < value.length(); i++) {
      char c = value.charAt(i);
      switch (c) {
        case '&' -> out.append("&amp;");
        case '<' -> out.append("&lt;");
        case '>' -> out.append("&gt;");
        case '"' -> out.append("&quot;");
        case '\'' -> out.append("&#39;");
        default -> out.append(c);
      }
    }
  }

  static void run() throws RunnerException, TemplateException, IOException {
    MergeBench same = new MergeBench();
    List<String> letters =
        List.of(
            same.render(), same.floor(), same.jmustache(), same.mustacheJava(), same.freemarker2());
    if (letters.stream().distinct().count() != 1) {
      throw new IllegalStateException("the letters differ; the ratios would mean nothing");
    }
    Collection<RunResult> results =
        new Runner(
                new OptionsBuilder()
                    .include(MergeBench.class.getName())
                    .forks(1)
                    .warmupIterations(3)
                    .warmupTime(TimeValue.seconds(1))
                    .measurementIterations(5)
                    .measurementTime(TimeValue.seconds(1))
                    .timeUnit(TimeUnit.SECONDS)
                    .verbosity(VerboseMode.SILENT)
                    .build())
            .run();
    double[] render = runs(results, "render");
    double[] floor = runs(results, "floor");
    Figures.print("merge.render.per_s", "messages/s", render);
    Figures.print("merge.floor.per_s", "messages/s", floor);
    Figures.printRatio("merge.ratio.floor", render, floor);
    double[] fastest = {0};
    for (String engine : List.of("jmustache", "mustacheJava", "freemarker2")) {
      double[] runs = runs(results, engine);
      Figures.print(
          "merge.engine." + engine.toLowerCase(Locale.ROOT) + ".per_s", "messages/s", runs);
      if (Figures.median(runs) > Figures.median(fastest)) {
        fastest = runs;
      }
    }
    Figures.printRatio("merge.ratio.fastest_engine", render, fastest);
  }

  private static double[] runs(Collection<RunResult> results, String name) {
    return results.stream()
        .filter(r -> r.getPrimaryResult().getLabel().equals(name))
        .flatMap(r -> r.getBenchmarkResults().stream())
        .flatMap(b -> b.getIterationResults().stream())
        .mapToDouble(i -> i.getPrimaryResult().getScore())
        .toArray();
  }
}
