package app.jemble.core.paper;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.paper.PostalLines.Postal;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.Test;

public class PostalFieldTest {

  private static final Country HOUSE = new Country("GB");

  private static Values person(String street, String postcode, String place, String country) {
    Map<String, String> parts =
        Map.of(
            "address.street", street,
            "address.postcode", postcode,
            "address.place", place,
            "address.country", country,
            "first_name", "Bea");
    Values values = field -> FieldValue.text(parts.getOrDefault(field, ""));
    return PostalField.over(values, HOUSE, Locale.UK);
  }

  private static String shown(String template, Kind kind, Values values) {
    FieldCatalogue fields = FieldCatalogue.standard();
    return Renderer.render(
            TemplateParser.parse(template, kind, fields).template().orElseThrow(),
            values,
            Locale.UK,
            ZoneId.of("Europe/London"))
        .text();
  }

  @Test
  public void linesStayLinesWhereThereCanBeAny() {
    Values bea = person("4 Quay <b>Lane", "TR19 6AB", "Lowen Quay", "");
    assertThat(shown("{{address.lines}}", Kind.PLAIN_TEXT, bea))
        .isEqualTo("4 Quay <b>Lane\nLOWEN QUAY\nTR19 6AB");
    assertThat(shown("<p>{{address.lines}}</p>", Kind.HTML, bea))
        .isEqualTo("<p>4 Quay &lt;b&gt;Lane<br>LOWEN QUAY<br>TR19 6AB</p>");
    assertThat(shown("{{address.lines}}", Kind.HEADER, bea))
        .isEqualTo("4 Quay <b>Lane, LOWEN QUAY, TR19 6AB");
    assertThat(bea.get("first_name")).isEqualTo(FieldValue.text("Bea"));
  }

  @Test
  public void whatNoLetterCouldReachIsMissing() {
    Values nowhere = person("4 Quay Lane", "TR19 6AB", "", "");
    assertThat(nowhere.get(PostalField.NAME)).isEqualTo(FieldValue.EMPTY);
    assertThat(shown("{{address.lines or \"no address\"}}", Kind.PLAIN_TEXT, nowhere))
        .isEqualTo("no address");
  }

  @Test
  public void whatIsStoredReadsBack() {
    Postal address = new Postal("House Ann\n4 Quay Lane", "TR19 6AB", "Lowen Quay", "GB");
    assertThat(Postal.read(address.stored())).isEqualTo(address);
    Postal odd = new Postal("", "TR19\n6AB", "Lowen Quay", "");
    assertThat(Postal.read(odd.stored())).isEqualTo(new Postal("", "TR19 6AB", "Lowen Quay", ""));
  }
}
