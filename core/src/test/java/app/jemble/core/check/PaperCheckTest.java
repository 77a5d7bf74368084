package app.jemble.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.jemble.core.check.Finding.Code;
import app.jemble.core.check.PaperCheck.LaidLetter;
import app.jemble.core.check.PaperCheck.PaperSum;
import app.jemble.core.record.PersonId;
import java.util.List;
import java.util.Random;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Pages and sheets add up, and whoever's letter is longer than most is named. */
public class PaperCheckTest {

  private PaperCheck check;

  @BeforeMethod
  public void begin() {
    check = new PaperCheck();
  }

  private void letters(long firstPerson, int... pages) {
    for (int i = 0; i < pages.length; i++) {
      check.add(new PersonId(firstPerson + i), new LaidLetter(pages[i], true, ""));
    }
  }

  @Test
  public void nothingIsNothing() {
    assertThat(check.sum()).isEqualTo(new PaperSum(0, 0, 0, 0, 0));
    assertThat(check.findings()).isEmpty();
  }

  @Test
  public void pagesAndSheetsAddUp() {
    letters(1, 1, 1, 2, 3);
    // On both sides: one sheet each of the first three, two of the last.
    assertThat(check.sum()).isEqualTo(new PaperSum(4, 7, 7, 5, 3));
  }

  @Test
  public void whoeverGetsMorePagesThanMostIsNamed() {
    letters(1, 1, 2, 1, 1, 3, 2);
    assertThat(check.findings())
        .extracting(Finding::code, Finding::about, Finding::sentence, Finding::people)
        .containsExactly(
            tuple(
                Code.LONG_LETTER,
                "2",
                "2 people get letters of 2 pages; most have one.",
                List.of(new PersonId(2), new PersonId(6))),
            tuple(
                Code.LONG_LETTER,
                "3",
                "1 person gets a letter of 3 pages; most have one.",
                List.of(new PersonId(5))));
  }

  @Test
  public void fewerPagesThanMostAreNothingToLookAt() {
    letters(1, 2, 2, 1);
    assertThat(check.findings()).isEmpty();
  }

  @Test
  public void ofTwoThatAreAsFrequentTheFewerPagesAreUsual() {
    letters(1, 2, 1);
    assertThat(check.findings()).extracting(Finding::about).containsExactly("2");
  }

  @Test
  public void whatCannotBePrintedIsNamedWithItsCharacters() {
    check.add(new PersonId(1), new LaidLetter(1, false, ""));
    check.add(new PersonId(2), new LaidLetter(1, true, "ꙮ𝄞"));
    check.add(new PersonId(3), new LaidLetter(1, true, "𝄞"));
    assertThat(check.findings())
        .extracting(Finding::sentence)
        .containsExactly(
            "1 person has an address that does not fit the window of the envelope, even in the"
                + " smallest print.",
            "2 people get letters with characters that no font can print: ꙮ 𝄞.");
  }

  /** A printer lays pages on sheets one by one: the same count, by doing it. */
  @Test
  public void sheetsAreWhatAPrinterWouldTake() {
    Random random = new Random(20);
    for (int round = 0; round < 200; round++) {
      begin();
      int pages = 0;
      int sheets = 0;
      int letters = random.nextInt(30);
      for (int i = 0; i < letters; i++) {
        int its = 1 + random.nextInt(5);
        check.add(new PersonId(i + 1), new LaidLetter(its, true, ""));
        boolean front = true;
        for (int page = 0; page < its; page++) {
          sheets += front ? 1 : 0;
          front = !front;
          pages++;
        }
      }
      PaperSum sum = check.sum();
      assertThat(sum.letters()).isEqualTo(letters);
      assertThat(sum.pages()).isEqualTo(pages).isEqualTo(sum.sheets());
      assertThat(sum.sheetsBothSides()).isEqualTo(sheets);
    }
  }
}
