package app.jemble.core.paper;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.Test;

public class LetterNamesTest {

  private final LetterNames names = new LetterNames(".pdf");

  @Test
  public void aNameIsSafeOnEverySystem() {
    assertThat(names.next("Trethewey, Ann")).isEqualTo("Trethewey, Ann.pdf");
    assertThat(names.next("../../etc/passwd")).isEqualTo("etc passwd.pdf");
    assertThat(names.next("C:\\x\r\n\"y\"")).isEqualTo("C x y.pdf");
    assertThat(names.next("NUL")).isEqualTo("NUL letter.pdf");
    assertThat(names.next("李 小龍 \u202e")).isEqualTo("李 小龍.pdf");
    assertThat(names.next("...")).isEqualTo("letter.pdf");
    assertThat(names.next("x".repeat(99) + "𝒵y")).isEqualTo("x".repeat(99) + ".pdf");
  }

  @Test
  public void noneIsThereTwice() {
    LetterNames fresh = new LetterNames(".docx");
    assertThat(fresh.next("Ann Post")).isEqualTo("Ann Post.docx");
    assertThat(fresh.next("ann post")).isEqualTo("ann post 2.docx");
    assertThat(fresh.next("Ann Post 2")).isEqualTo("Ann Post 2 2.docx");
    assertThat(fresh.next("")).isEqualTo("letter.docx");
    assertThat(fresh.next(" ")).isEqualTo("letter 2.docx");
  }
}
