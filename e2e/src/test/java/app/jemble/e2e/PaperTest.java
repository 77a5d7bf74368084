package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Labels for the people of a list, from picking them to the printed file. */
public class PaperTest extends BrowserTest {

  private static final List<String> NAMES = List.of("Abe", "Bea", "Cas", "Dot", "Eve", "Fay");

  @Override
  protected int people() {
    return 5;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void begin() {
    signIn("orla");
    api.signIn("orla", "lowen-quay");
    long list =
        sql.sql(
                "insert into person_list (name, created_at, created_by) values ('Yearbook', now(), 1) returning id")
            .query(Long.class)
            .single();
    for (int i = 0; i < NAMES.size(); i++) {
      long person = addPerson(NAMES.get(i), "Paper", null);
      sql.sql(
              """
              update person
              set address_street = ?, address_postcode = ?, address_place = 'Lowen Quay',
                  address_country = 'GB'
              where id = ?
              """)
          .params(i == 5 ? "" : (i + 1) + " Quay Lane", "TR1 " + i + "AB", person)
          .update();
      sql.sql("insert into list_member (list_id, person_id) values (?, ?)")
          .params(list, person)
          .update();
    }
    sql.sql("update person set address_postcode = null where first_name = 'Dot'").update();
    sql.sql("update person set address_place = null where first_name = 'Fay'").update();
  }

  /** Nine acts at most, of which eight are needed: each line that acts is counted. */
  @Test
  public void labelsOfAListAreLaidOutChangedAndPrinted() throws IOException {
    page.navigate(home + "/lists");
    page.getByText("Yearbook").first().click();
    assertThat(page.getByText("Abe Paper").first()).isVisible();
    press("Control+a");
    button("Labels").click();
    page.waitForURL("**/paper/*");
    Locator sheet = page.getByRole(AriaRole.GROUP, named(Pattern.compile("^Page 1 of 1$")));
    assertThat(page.getByRole(AriaRole.GROUP, named("Who gets a label, and who does not")))
        .containsText(Pattern.compile("1\\s*no postal address"));
    sheet.getByRole(AriaRole.BUTTON, inside("Begin at label 5")).click();
    assertThat(sheet.getByRole(AriaRole.BUTTON, inside("Dot Paper, label 5"))).isVisible();
    assertThat(sheet.getByRole(AriaRole.BUTTON, inside("Dot Paper")).locator("text")).hasCount(3);
    assertThat(sheet.getByRole(AriaRole.BUTTON, inside("Eve Paper")).locator("text")).hasCount(4);
    sheet.getByRole(AriaRole.BUTTON, inside("Cas Paper, label 8")).click();
    page.getByLabel("Words of the label of Cas Paper").fill("Cas Paper\nc/o The Office");
    button("Change this label").click();
    assertThat(page.getByText("Changed for this run alone.")).isVisible();
    button(Pattern.compile("^Make the print file")).click();
    Locator file = page.getByText("Open the file to print");
    assertThat(file).isVisible();
    assertThat(page.getByText("5 people on 1 sheet")).isVisible();
    String path = file.getAttribute("href");
    APIResponse printed = page.request().get(home + path);
    try (PDDocument document = Loader.loadPDF(printed.body())) {
      String text = new PDFTextStripper().getText(document);
      assertThat(text)
          .contains("Abe Paper", "1 Quay Lane", "LOWEN QUAY", "c/o The Office")
          .doesNotContain("3 Quay Lane", "Fay");
    }
    button("Posted today").click();
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql("select posted_on is not null from print_run")
                        .query(Boolean.class)
                        .single())
                .isTrue());
    page.navigate(home + "/paper");
    assertThat(page.getByText(Pattern.compile("posted on"))).isVisible();
  }

  private Locator button(Object name) {
    return page.getByRole(
        AriaRole.BUTTON, name instanceof Pattern p ? named(p) : named((String) name));
  }

  private static Locator.GetByRoleOptions inside(String name) {
    return new Locator.GetByRoleOptions().setName(Pattern.compile("^" + name));
  }
}
