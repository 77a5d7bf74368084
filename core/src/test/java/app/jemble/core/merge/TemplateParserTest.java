package app.jemble.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.YardFields;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class TemplateParserTest {

  private static final FieldCatalogue FIELDS = YardFields.standard();

  @Test
  public void listsItsFieldsInOrderOfFirstUse() {
    TemplateParser.Parsed parsed =
        parse(
            "Dear {{first_name or last_name}}, {{#dues_owed}}{{dues_owed as money}}{{/dues_owed}}");
    assertThat(parsed.errors()).isEmpty();
    assertThat(parsed.template().orElseThrow().fields())
        .containsExactly("first_name", "last_name", "dues_owed");
  }

  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {"Dear {{frist_name}}", 1, 6, "Did you mean first_name?"},
      {"Dear\nfriend {{first_name", 2, 8, "never closed"},
      {"{{}}", 1, 1, "empty merge field"},
      {"{{{first_name}}}", 1, 1, "always made safe"},
      {"{{& first_name}}", 1, 1, "always made safe"},
      {"{{> footer}}", 1, 1, "No other text"},
      {"{{=<% %>=}}", 1, 1, "no meaning"},
      {"Dear {{picture}}", 1, 6, "address of a picture"},
      {"{{#plan}}Hello", 1, 1, "never closed"},
      {"Hello{{/plan}}", 1, 6, "Nothing is open"},
      {"{{#plan}}{{#stage}}{{/plan}}{{/stage}}", 1, 20, "{{/stage}} is needed"},
      {"{{first_name or}}", 1, 1, "missing"},
      {"{{first_name last_name}}", 1, 1, "only “or …”"},
      {"{{first_name as monney}}", 1, 1, "Did you mean money?"},
      {"{{renews_on as \"nonsense\"}}", 1, 1, "not a way to write a date"},
      {"{{first_name | upper}}", 1, 1, "does not belong"},
      {"<p {{first_name}}>", 1, 4, "between quotation marks"},
    };
  }

  @Test(dataProvider = "wrong")
  public void errorsCarryLineColumnAndWhatWouldBeRight(
      String text, int line, int column, String hint) {
    List<TemplateError> errors = parse(text).errors();
    assertThat(errors).isNotEmpty();
    assertThat(errors.get(0).position()).isEqualTo(new Position(line, column));
    assertThat(errors.get(0).sentence()).contains(hint);
    assertThat(parse(text).template()).isEmpty();
  }

  @Test
  public void allErrorsAreToldAtOnce() {
    assertThat(parse("{{a_field}} and {{b_field}}").errors()).hasSize(2);
  }

  @Test
  public void knowsTheTagAFieldStandsIn() {
    assertThat(places("{{plan}}")).containsExactly(Place.HTML_TEXT);
    assertThat(places("<p title=\"{{plan}}\">{{plan}}</p>"))
        .containsExactly(Place.HTML_ATTRIBUTE, Place.HTML_TEXT);
    assertThat(places("<a href=\"{{source}}\">x</a>")).containsExactly(Place.URL_START);
    assertThat(places("<a href='https://quay.example/{{plan}}?q={{stage}}'>{{plan}}</a>"))
        .containsExactly(Place.URL_PART, Place.URL_PART, Place.HTML_TEXT);
  }

  @Test
  public void entitiesInsideAMergeFieldAreRead() {
    assertThat(parse("{{first_name or &quot;friend&quot;}}").errors()).isEmpty();
  }

  @Test
  public void anotherTextIsPutInByItsName() {
    Map<String, String> partials = Map.of("signature", "<p>{{sender.name}}</p>");
    TemplateParser.Parsed parsed =
        TemplateParser.parse("<p>Hi</p>{{> signature}}", Kind.HTML, FIELDS, partials);
    assertThat(parsed.template().orElseThrow().fields()).containsExactly("sender.name");
    assertThat(parsed.template().orElseThrow().parts().get(1)).isInstanceOf(Part.Partial.class);

    TemplateParser.Parsed unknown =
        TemplateParser.parse("{{> greeting}}", Kind.HTML, FIELDS, partials);
    assertThat(unknown.errors().get(0).sentence()).contains("there is signature");
    TemplateParser.Parsed inTag =
        TemplateParser.parse("<p title=\"{{> signature}}\">x</p>", Kind.HTML, FIELDS, partials);
    assertThat(inTag.errors().get(0).sentence()).contains("between tags");
    TemplateParser.Parsed wrongInside =
        TemplateParser.parse(
            "ab\n{{> signature}}", Kind.HTML, FIELDS, Map.of("signature", "{{sender.nam}}"));
    assertThat(wrongInside.errors().get(0).position()).isEqualTo(new Position(2, 1));
    assertThat(wrongInside.errors().get(0).sentence())
        .startsWith("In the signature: ")
        .contains("Did you mean sender.name?");
  }

  @Test
  public void findsBlanks() {
    assertThat(Blanks.in("See you on [date] at [time], not {{first_name}} [date]"))
        .containsExactly("[date]", "[time]");
  }

  private static List<Place> places(String html) {
    return parse(html).template().orElseThrow().parts().stream()
        .filter(p -> p instanceof Part.MergeField)
        .map(p -> ((Part.MergeField) p).place())
        .toList();
  }

  private static TemplateParser.Parsed parse(String text) {
    return TemplateParser.parse(text, Kind.HTML, FIELDS);
  }
}
