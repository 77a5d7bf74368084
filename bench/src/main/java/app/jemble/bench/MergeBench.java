package app.jemble.bench;

import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.Template;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import java.time.ZoneId;
import java.util.Collection;
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

/** A letter of 2 KB with eight fields and a section, rendered; and the same built by hand. */
@State(Scope.Thread)
public class MergeBench {

  private static final String FILLER =
      "The slipway opens on Saturday and the yard is busy with boats that want to be launched. "
          .repeat(10);

  private final Template template =
      TemplateParser.parse(
              "<p>Dear {{first_name}} {{last_name}},</p><p>"
                  + FILLER
                  + "</p><p>Your {{plan}} membership, number {{number}}, and your berth"
                  + " {{address.place}}.</p>{{#dues_owed}}<p>There is something outstanding.</p>"
                  + "{{/dues_owed}}<p>"
                  + FILLER
                  + "</p><p>{{sender.name}}, {{sender.title}}<br>{{workspace.name}}</p>",
              TemplateParser.Kind.HTML,
              FieldCatalogue.standard())
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
  private final Values values =
      name ->
          name.equals("dues_owed")
              ? FieldValue.money(new java.math.BigDecimal("42.00"), "GBP")
              : FieldValue.text(texts.get(name));
  private final ZoneId zone = ZoneId.of("Europe/London");

  @Benchmark
  public String render() {
    return Renderer.render(template, values, Locale.UK, zone).text();
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

  static void run() throws RunnerException {
    MergeBench same = new MergeBench();
    if (!same.render().equals(same.floor())) {
      throw new IllegalStateException("the two letters differ; the ratio would mean nothing");
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
