package app.jemble.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.record.PersonId;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Which domains count as mistyped beside one that twenty-five people have. */
public class DomainCheckTest {

  @DataProvider
  public Object[][] domains() {
    return new Object[][] {
      {"harbou.example", true},
      {"harbourr.example", true},
      {"harvour.example", true},
      {"harbuor.example", true},
      {"HARBOU.example", true},
      {"harbour.exmaple", true},
      {"harbour.example", false},
      {"harb.example", false},
      {"ruobrah.example", false},
      {"yard.example", false},
    };
  }

  @Test(dataProvider = "domains")
  public void oneLetterOffWhatManyHave(String domain, boolean mistyped) {
    DomainCheck check = new DomainCheck();
    check.add(new PersonId(99), "uma@" + domain);
    for (int person = 1; person <= 25; person++) {
      check.add(new PersonId(person), "p" + person + "@harbour.example");
    }
    assertThat(check.likelyMistyped().containsKey("harbour.example")).isEqualTo(mistyped);
  }

  @Test
  public void aDomainThatSeveralHaveIsNoMistake() {
    DomainCheck check = new DomainCheck();
    for (int person = 1; person <= 25; person++) {
      check.add(new PersonId(person), "p" + person + "@harbour.example");
    }
    for (int person = 50; person < 53; person++) {
      check.add(new PersonId(person), "p" + person + "@harbou.example");
    }
    assertThat(check.likelyMistyped()).isEmpty();
  }
}
