package app.jemble.core.response;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Codes by RFC 3463; the words are those of common practice, put our own way. */
public class ReturnMeaningTest {

  @DataProvider
  public Object[][] returns() {
    return new Object[][] {
      // Nobody is there, under whatever code.
      {"5.1.1", "550 5.1.1 no such user here", true},
      {"5.7.1", "550 5.7.1 no such user", true},
      {"5.3.0", "553 5.3.0 unknown user", true},
      {"", "550 mailbox unavailable: user unknown", true},
      {"5.0.0", "Empfänger unbekannt", true},
      {"5.4.1", "recipient address does not exist", true},
      {"5.2.1", "mailbox disabled", true},
      {"5.1.10", "recipient takes no mail", true},
      {"5.1.2", "", true},
      // Full, large, many, or to be confirmed: the next one may arrive.
      {"5.1.1", "552 5.1.1 mailbox full", false},
      {"", "mailbox of bea is full, over quota", false},
      {"5.0.0", "User has exceeded the storage quota", false},
      {"5.1.1", "message exceeds the size limit of this recipient", false},
      {"5.1.1", "too many messages for this user; mailbox unavailable", false},
      {"5.1.1", "this address requires confirmation of the sender", false},
      {"5.2.2", "no such user", false},
      {"5.1.1", "temporarily unavailable, try again later", false},
      // Policy is not the address's fault.
      {"5.1.1", "blocked by our spam policy", false},
      {"5.7.1", "message content rejected", false},
      {"5.7.1", "relay access denied: unknown user", false},
      {"5.1.8", "sender address rejected: domain not found", false},
      {"5.1.7", "", false},
      // Nobody can tell.
      {"5.0.0", "no", false},
      {"", "it did not work", false},
      {"4.1.1", "no such user yet", false},
    };
  }

  @Test(dataProvider = "returns")
  public void codeAndWordsDecideTogether(String code, String words, boolean forGood) {
    assertThat(ReturnMeaning.of(code, words).forGood()).as(code + " " + words).isEqualTo(forGood);
  }

  @Test
  public void whereNoCodeIsGivenTheWordsGiveOne() {
    assertThat(ReturnMeaning.of("", "user unknown").code()).isEqualTo("5.1.1");
    assertThat(ReturnMeaning.of("5.0.0", "over quota").code()).isEqualTo("5.2.2");
    assertThat(ReturnMeaning.of("5.7.1", "user unknown").code()).isEqualTo("5.7.1");
  }
}
