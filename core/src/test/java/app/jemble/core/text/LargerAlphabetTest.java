package app.jemble.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.text.LargerAlphabet.Forcing;
import org.testng.annotations.Test;

/** Characters that make a text message more than twice as dear, and their mend. */
public class LargerAlphabetTest {

  @Test
  public void whatForcesItIsNamedOnceWithItsLikeness() {
    assertThat(LargerAlphabet.in("It’s “on” – it’s Łódź 😀"))
        .containsExactly(
            new Forcing("’", "'"),
            new Forcing("“", "\""),
            new Forcing("”", "\""),
            new Forcing("–", "-"),
            new Forcing("Ł", "L"),
            new Forcing("ó", "o"),
            new Forcing("ź", "z"),
            new Forcing("😀", null));
    assertThat(LargerAlphabet.in("Müller, é à ø [€]")).isEmpty();
  }

  @Test
  public void mendedItFitsTheDefaultAlphabetUnlessNothingIsLikeIt() {
    assertThat(LargerAlphabet.mended("Zoë’s boat… ½ price – ﬁne"))
        .isEqualTo("Zoe's boat... ½ price - fine");
    assertThat(LargerAlphabet.mended("e\u0301t\u00e9\u200B x\u00A0y")).isEqualTo("été x y");
    assertThat(LargerAlphabet.mended("Привет 日本 😀")).isEqualTo("Привет 日本 😀");
  }
}
