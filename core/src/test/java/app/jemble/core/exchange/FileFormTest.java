package app.jemble.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.record.YardFields;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class FileFormTest {

  private static final String TEXT = "Name;Place\nZoë Sørli;Umeå\nDiégo;“Lowen” Quay\n";

  @DataProvider
  public Object[][] encodings() {
    Charset windows = Charset.forName("windows-1252");
    return new Object[][] {
      {"", StandardCharsets.UTF_8, StandardCharsets.UTF_8},
      {"\uFEFF", StandardCharsets.UTF_8, StandardCharsets.UTF_8},
      {"\uFEFF", StandardCharsets.UTF_16LE, StandardCharsets.UTF_16LE},
      {"\uFEFF", StandardCharsets.UTF_16BE, StandardCharsets.UTF_16BE},
      {"", StandardCharsets.UTF_16LE, StandardCharsets.UTF_16LE},
      {"", StandardCharsets.UTF_16BE, StandardCharsets.UTF_16BE},
      {"", windows, windows},
    };
  }

  @Test(dataProvider = "encodings")
  public void anEncodingIsFoundWhereverTheFileIsCutIntoPieces(
      String mark, Charset written, Charset expected) {
    byte[] octets = (mark + TEXT).getBytes(written);
    for (int piece = 1; piece < octets.length; piece++) {
      TextEncoding encoding = new TextEncoding();
      for (int i = 0; i < octets.length; i += piece) {
        byte[] next = Arrays.copyOfRange(octets, i, Math.min(octets.length, i + piece));
        encoding.feed(next, next.length);
      }
      assertThat(encoding.found()).as("in pieces of %s", piece).isEqualTo(expected);
    }
  }

  @Test
  public void utf8ThatIsCutShortIsNotUtf8() {
    byte[] octets = "Zoë".getBytes(StandardCharsets.UTF_8);
    TextEncoding encoding = new TextEncoding();
    encoding.feed(octets, octets.length - 1);
    assertThat(encoding.found().name()).isEqualTo("windows-1252");
    assertThat(new TextEncoding().found()).isEqualTo(StandardCharsets.UTF_8);
  }

  @DataProvider
  public Object[][] delimiters() {
    return new Object[][] {
      {"a,b,c\n1,2,3\n", ','},
      {"a;b;c\n1,5;2;3\n1,7;3;4", ';'},
      {"a\tb\n1\t2\n", '\t'},
      {"a|b|c\r\n1|2|3\r\n", '|'},
      {"name,words\nBea,\"one; two; three\"\nDov,\"a\nb;c\"\n", ','},
      {"one column\nx\n", ','},
      {"", ','},
      {"a;b", ';'},
    };
  }

  @Test(dataProvider = "delimiters")
  public void theDelimiterIsTheOneThatSplitsEvenly(String text, char expected) {
    assertThat(Delimiter.guess(text)).isEqualTo(expected);
  }

  /** The six beginnings of OWASP's page on CSV injection. */
  @Test
  public void noCellIsTakenForAFormulaAndAllAreReadBack() {
    for (String risky : List.of("=1+1", "+44 7700 900123", "-3", "@x", "\tx", "\rx")) {
      assertThat(HarmlessCell.write(risky)).isEqualTo("'" + risky);
      assertThat(HarmlessCell.read(HarmlessCell.write(risky))).isEqualTo(risky);
    }
    for (String plain : List.of("", "Bea", "O'Hara", "'quoted'", "a=b", "'")) {
      assertThat(HarmlessCell.write(plain)).isEqualTo(plain);
      assertThat(HarmlessCell.read(plain)).isEqualTo(plain);
    }
    assertThat(HarmlessCell.write(null)).isEmpty();
  }

  @Test
  public void columnsAreMatchedByTheLikenessOfTheirHeaders() {
    List<String> headers =
        List.of(
            "Surname",
            "FIRST-NAME",
            "E-Mail",
            "Tel.",
            "ZIP",
            "Town",
            "Membership",
            "Date of birth",
            "Stret",
            "x",
            "",
            "e mail");
    assertThat(
            ColumnMatch.propose(
                headers, Collections.nCopies(headers.size(), List.of("")), YardFields.standard()))
        .containsExactly(
            "last_name",
            "first_name",
            "email",
            "phone",
            "address.postcode",
            "address.place",
            "plan",
            "birthday",
            "address.street",
            null,
            null,
            null);
  }

  @Test
  public void aColumnOfAddressesIsTheEmailWhateverItIsCalled() {
    assertThat(
            ColumnMatch.propose(
                List.of("Kontakt", "Name"),
                List.of(List.of("a@b.example", "", "c@d.example"), List.of("Bea", "Dov", "Una")),
                YardFields.standard()))
        .containsExactly("email", "name");
  }
}
