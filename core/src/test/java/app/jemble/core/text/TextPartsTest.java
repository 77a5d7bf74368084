package app.jemble.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.text.TextParts.Alphabet;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Alphabets and parts of text messages, by 3GPP TS 23.038 and TS 23.040. */
public class TextPartsTest {

  /** Worked examples of TS 23.038: what fits one part, and where the next begins. */
  @DataProvider
  public Object[][] lengths() {
    return new Object[][] {
      {"", Alphabet.DEFAULT, 0, 1},
      {"a".repeat(160), Alphabet.DEFAULT, 160, 1},
      {"a".repeat(161), Alphabet.DEFAULT, 161, 2},
      {"a".repeat(306), Alphabet.DEFAULT, 306, 2},
      {"a".repeat(307), Alphabet.DEFAULT, 307, 3},
      {"ж".repeat(70), Alphabet.UCS2, 70, 1},
      {"ж".repeat(71), Alphabet.UCS2, 71, 2},
      {"ж".repeat(134), Alphabet.UCS2, 134, 2},
      {"ж".repeat(135), Alphabet.UCS2, 135, 3},
      {"^{}\\[~]|€", Alphabet.DEFAULT, 18, 1},
      {"a".repeat(152) + "€" + "a".repeat(152), Alphabet.DEFAULT, 306, 3},
      {"😀".repeat(35), Alphabet.UCS2, 70, 1},
      {"😀".repeat(67), Alphabet.UCS2, 134, 3},
    };
  }

  @Test(dataProvider = "lengths")
  public void aPartHoldsWhatTheStandardSays(String text, Alphabet alphabet, int units, int parts) {
    TextParts of = TextParts.of(text);
    assertThat(of.alphabet()).isEqualTo(alphabet);
    assertThat(of.units()).isEqualTo(units);
    assertThat(of.count()).isEqualTo(parts);
    assertThat(String.join("", of.parts())).isEqualTo(text);
  }

  @Test
  public void whatIsLeftOfAPartIsToldAsItIsWritten() {
    assertThat(TextParts.of("").left()).isEqualTo(160);
    assertThat(TextParts.of("a".repeat(160)).left()).isZero();
    assertThat(TextParts.of("a".repeat(161)).left()).isEqualTo(153 - 8);
    assertThat(TextParts.of("ж").left()).isEqualTo(69);
  }

  /** A mix of all that makes trouble: escapes, pairs, other alphabets, marks. */
  static String random(Random random) {
    String[] some = {
      "a", "é", "€", "[", "~", "\n", "ж", "日", "😀", "👩‍🚒", "e\u0301", "’", "…", "ß", " "
    };
    boolean plain = random.nextBoolean();
    StringBuilder text = new StringBuilder();
    int length = random.nextInt(plain ? 700 : 300);
    while (text.length() < length) {
      text.append(some[random.nextInt(plain ? 6 : some.length)]);
    }
    return text.toString();
  }

  @Test
  public void noPairIsSplitAndNothingIsLost() {
    Random random = new Random(20261128);
    for (int i = 0; i < 10_000; i++) {
      String text = random(random);
      TextParts of = TextParts.of(text);
      assertThat(String.join("", of.parts())).isEqualTo(text);
      for (String part : of.parts()) {
        int units =
            of.alphabet() == Alphabet.UCS2 ? part.length() : DefaultAlphabet.octets(part).length;
        assertThat(units)
            .isLessThanOrEqualTo(
                of.count() == 1 ? of.alphabet().alone() : of.alphabet().together());
        assertThat(part.isEmpty() || !Character.isLowSurrogate(part.charAt(0))).isTrue();
      }
    }
  }

  @Test
  public void eachCharacterOfTheDefaultAlphabetComesBack() {
    StringBuilder all = new StringBuilder();
    for (int c = 0; c < 0x2500; c++) {
      if (DefaultAlphabet.has(c)) {
        all.appendCodePoint(c);
      }
    }
    // 128 without the escape, and ten of the second table.
    assertThat(all).hasSize(127 + 10);
    assertThat(DefaultAlphabet.text(DefaultAlphabet.octets(all.toString())))
        .isEqualTo(all.toString());
  }

  @Test
  public void aPhoneShowsABlankForAnEscapeItDoesNotKnow() {
    byte[] odd = {'a', DefaultAlphabet.ESCAPE, DefaultAlphabet.ESCAPE, 'b', DefaultAlphabet.ESCAPE};
    assertThat(DefaultAlphabet.text(odd)).isEqualTo("a b ");
  }
}
