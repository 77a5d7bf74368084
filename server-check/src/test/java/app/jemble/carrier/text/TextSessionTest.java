package app.jemble.carrier.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.Eventually;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.Parcel;
import app.jemble.carrier.UnreachableException;
import app.jemble.core.text.ReceiptState;
import app.jemble.core.text.TextParts;
import app.jemble.settings.TextSettings;
import app.jemble.standins.text.Fault;
import app.jemble.standins.text.MessageCentre;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Texts to and from a message centre, by protocol. */
public class TextSessionTest {

  private static final String SENDER = "Lowen Quay";
  private static final String PHONE = "+447700900123";

  private final List<TextArrivals.Receipt> receipts = new CopyOnWriteArrayList<>();
  private final List<TextArrivals.Answer> answers = new CopyOnWriteArrayList<>();
  private final AtomicInteger notKept = new AtomicInteger();
  private MessageCentre centre;
  private TextSession session;

  @BeforeMethod
  public void bind() throws UnreachableException {
    receipts.clear();
    answers.clear();
    centre = new MessageCentre(0, "lowen", "secret");
    session = new TextSession(settings("secret"), arrivals());
    session.open();
  }

  @AfterMethod(alwaysRun = true)
  public void close() {
    session.close();
    centre.close();
  }

  private TextSettings settings(String password) {
    return new TextSettings("127.0.0.1", centre.port(), false, "lowen", password, SENDER, 4, 10000);
  }

  private TextArrivals arrivals() {
    return new TextArrivals() {
      @Override
      public void take(Receipt receipt) {
        receipts.add(receipt);
      }

      @Override
      public void take(Answer answer) {
        if (notKept.getAndDecrement() > 0) {
          throw new IllegalStateException("the database is away");
        }
        answers.add(answer);
      }
    };
  }

  private HandoverResult send(String to, String text) {
    AtomicInteger begun = new AtomicInteger();
    HandoverResult result =
        session.submit(
            new Parcel(text.getBytes(StandardCharsets.UTF_8), SENDER, to), begun::incrementAndGet);
    assertThat(begun.get()).as("told once that it begins").isEqualTo(1);
    return result;
  }

  @Test
  public void aTextArrivesAsItWasWritten() {
    HandoverResult result = send(PHONE, "Hello [Ann], 5 € – no");
    assertThat(result).isInstanceOf(HandoverResult.Accepted.class);
    assertThat(centre.arrived())
        .containsExactly(new MessageCentre.Text(SENDER, PHONE, "Hello [Ann], 5 € – no", 1));
  }

  /** Lengths around every border, in both alphabets, read back by the centre's own phones. */
  @Test
  public void longOnesAreReadBackWhole() {
    Random random = new Random(20261128);
    List<String> texts = new ArrayList<>();
    for (String sign : List.of("a", "€", "ж", "😀")) {
      for (int length : new int[] {1, 67, 70, 71, 134, 135, 153, 160, 161, 306, 307, 460}) {
        texts.add(sign.repeat(length));
      }
    }
    for (int i = 0; i < 300; i++) {
      String[] some = {"a", "é", "€", "[", "\n", "ж", "日", "😀", "ß", " "};
      StringBuilder text = new StringBuilder();
      int most = random.nextBoolean() ? 5 : some.length;
      while (text.length() < random.nextInt(600)) {
        text.append(some[random.nextInt(most)]);
      }
      texts.add(text + "!");
    }
    Collections.shuffle(texts, random);
    for (String text : texts) {
      int before = centre.parts();
      HandoverResult result = send(PHONE, text);
      assertThat(result).isInstanceOf(HandoverResult.Accepted.class);
      int parts = TextParts.of(text).count();
      assertThat(((HandoverResult.Accepted) result).references()).hasSize(parts);
      assertThat(centre.parts() - before).isEqualTo(parts);
      MessageCentre.Text last = centre.arrived().get(centre.arrived().size() - 1);
      assertThat(last.words()).isEqualTo(text);
      assertThat(last.parts()).isEqualTo(parts);
    }
  }

  @Test
  public void whatTheNetworkSaysOfEachPartComesBackByItsReference() {
    HandoverResult.Accepted sent = (HandoverResult.Accepted) send(PHONE, "a".repeat(200));
    centre.receipts(PHONE, true);
    Eventually.holds(() -> assertThat(receipts).hasSize(2));
    assertThat(receipts.stream().map(TextArrivals.Receipt::reference))
        .containsExactlyElementsOf(sent.references());
    assertThat(receipts).allMatch(r -> r.state() == ReceiptState.DELIVERED && r.to().equals(PHONE));
    send("+4915112345678", "Nobody there");
    centre.receipts("+4915112345678", false);
    Eventually.holds(() -> assertThat(receipts).hasSize(3));
    assertThat(receipts.get(2).state()).isEqualTo(ReceiptState.UNDELIVERABLE);
    assertThat(receipts.get(2).words()).isEqualTo("undeliverable (001)");
  }

  @Test
  public void whatPeopleWriteComesInAndAgainWhenItWasNotKept() {
    centre.writes(PHONE, "3344", List.of("Да, спасибо"));
    centre.writes(PHONE, "3344", List.of("one ", "two"));
    Eventually.holds(() -> assertThat(answers).hasSize(3));
    assertThat(answers.get(0).text()).isEqualTo("Да, спасибо");
    assertThat(answers.get(0).from()).isEqualTo(PHONE);
    assertThat(answers.get(2).place().number()).isEqualTo(2);
    assertThat(answers.get(2).place().of()).isEqualTo(2);
    assertThat(answers.get(1).place().reference()).isEqualTo(answers.get(2).place().reference());
    notKept.set(1);
    assertThatThrownBy(() -> centre.writes(PHONE, "3344", List.of("lost?")))
        .hasMessageContaining("nobody who is bound takes it");
  }

  @Test
  public void aNumberThatIsNoneIsRefusedForGood() {
    centre.fails(number -> Fault.REFUSES);
    assertThat(send(PHONE, "Hello"))
        .isEqualTo(new HandoverResult.Refused("there is no such number"));
  }

  @Test
  public void whoAsksToSlowDownIsAskedAgainAndThenLater() {
    centre.fails(number -> number <= 2 ? Fault.THROTTLES : Fault.NONE);
    assertThat(send(PHONE, "Hello")).isInstanceOf(HandoverResult.Accepted.class);
    assertThat(centre.arrived()).hasSize(1);
    centre.fails(number -> Fault.THROTTLES);
    assertThat(send(PHONE, "Hello"))
        .isEqualTo(new HandoverResult.PutOff("the text service takes no more at present"));
  }

  @Test
  public void whatWasGivenAndNotAnsweredIsInDoubt() {
    centre.fails(number -> Fault.DROPS_AFTER);
    assertThat(send(PHONE, "Hello")).isInstanceOf(HandoverResult.InDoubt.class);
    assertThat(centre.arrived()).as("it did arrive").hasSize(1);
  }

  @Test
  public void aTextOfWhichAPartLeftIsInDoubt() {
    centre.fails(number -> number == 2 ? Fault.REFUSES : Fault.NONE);
    assertThat(send(PHONE, "a".repeat(400)).words())
        .isEqualTo("only 1 of 3 parts left: there is no such number");
  }

  @Test
  public void afterABreakNothingIsTriedUntilItIsOpenAgain() throws UnreachableException {
    centre.fails(number -> number == 1 ? Fault.DROPS_BEFORE : Fault.NONE);
    assertThat(send(PHONE, "Hello").words()).isNotBlank();
    Eventually.holds(() -> assertThat(session.isOpen()).isFalse());
    Parcel next = new Parcel("Next".getBytes(StandardCharsets.UTF_8), SENDER, PHONE);
    assertThat(session.submit(next, () -> {})).isInstanceOf(HandoverResult.NotTried.class);
    session.open();
    assertThat(send(PHONE, "Next")).isInstanceOf(HandoverResult.Accepted.class);
    assertThat(centre.arrived()).extracting(MessageCentre.Text::words).containsExactly("Next");
  }

  @Test
  public void aWrongPasswordIsSaid() {
    try (TextSession wrong = new TextSession(settings("wrong"), arrivals())) {
      assertThatThrownBy(wrong::open)
          .isInstanceOf(UnreachableException.class)
          .hasMessageStartingWith("the text service cannot be reached");
      assertThat(wrong.isOpen()).isFalse();
    }
  }
}
