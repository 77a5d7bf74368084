package app.jemble.carrier.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.core.message.AttachedFile;
import app.jemble.core.message.InlinePicture;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.OutgoingMessage;
import app.jemble.core.message.ThreadPlace;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.apache.james.mime4j.dom.BinaryBody;
import org.apache.james.mime4j.dom.Entity;
import org.apache.james.mime4j.dom.Message;
import org.apache.james.mime4j.dom.Multipart;
import org.apache.james.mime4j.dom.TextBody;
import org.apache.james.mime4j.message.DefaultMessageBuilder;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * What is written reads back the same with Apache James Mime4j, for random people and texts of all
 * scripts; lines keep within RFC 5322 section 2.1.1.
 */
public class MimeRoundTripTest {

  private static final int MESSAGES = 400;
  private static final List<String> WORDS =
      List.of(
          "Bea",
          "O'Neil",
          "Zoë",
          "Łucja",
          "Мария",
          "王小舟",
          "さくら",
          "نور",
          "ליאת",
          "👩‍🚀",
          "Đặng",
          "(comment)",
          "\"quoted\"",
          "a,b",
          "x;y",
          "<z>",
          "@",
          "=?utf-8?q?x?=",
          "100%",
          "é".repeat(30),
          "verylongword".repeat(12),
          "unbroken".repeat(140),
          "a  b",
          "\\",
          "-",
          "Ærø");

  private static String words(Random random, int most) {
    return String.join(
        " ",
        IntStream.range(0, 1 + random.nextInt(most))
            .mapToObj(i -> WORDS.get(random.nextInt(WORDS.size())))
            .toList());
  }

  @Test
  public void anIndependentReaderSeesTheSame() throws IOException {
    Random random = new Random(5322);
    for (int i = 0; i < MESSAGES; i++) {
      OutgoingMessage sent = message(random, i);
      byte[] octets = MimeWriter.write(sent);
      Message read = new DefaultMessageBuilder().parseMessage(new ByteArrayInputStream(octets));

      assertThat(read.getSubject()).isEqualTo(sent.subject());
      assertThat(read.getMessageId()).isEqualTo(sent.messageId());
      assertThat(read.getFrom().get(0).getName()).isEqualTo(sent.from().name());
      var to = (org.apache.james.mime4j.dom.address.Mailbox) read.getTo().get(0);
      assertThat(to.getName()).isEqualTo(sent.to().name());
      assertThat(to.getAddress()).isEqualTo(sent.to().address());
      assertThat(read.getTo()).hasSize(1);
      assertThat(read.getCc()).isNull();

      if (sent.replyTo().isPresent()) {
        var reply = (org.apache.james.mime4j.dom.address.Mailbox) read.getReplyTo().get(0);
        assertThat(reply.getName()).isEqualTo(sent.replyTo().get().name());
        assertThat(reply.getAddress()).isEqualTo(sent.replyTo().get().address());
      }
      assertThat(read.getHeader().getField("Auto-Submitted") != null).isEqualTo(sent.automatic());
      assertBody(read, sent);
      assertLines(octets);
      assertEncodedWords(octets);
    }
  }

  /** Files beside all of it, pictures beside the HTML, the texts instead of one another. */
  private static void assertBody(Message read, OutgoingMessage sent) throws IOException {
    Multipart parts = (Multipart) read.getBody();
    if (!sent.files().isEmpty()) {
      assertThat(parts.getSubType()).isEqualTo("mixed");
      assertThat(parts.getBodyParts()).hasSize(1 + sent.files().size());
      for (int i = 0; i < sent.files().size(); i++) {
        Entity part = parts.getBodyParts().get(i + 1);
        assertThat(part.getFilename()).isEqualTo(sent.files().get(i).name());
        assertThat(part.getDispositionType()).isEqualTo("attachment");
        assertThat(octets(part)).isEqualTo(sent.files().get(i).octets());
      }
      parts = (Multipart) parts.getBodyParts().get(0).getBody();
    }
    assertThat(parts.getSubType()).isEqualTo("alternative");
    assertThat(text(parts.getBodyParts().get(0))).isEqualTo(sent.text());
    Entity html = parts.getBodyParts().get(1);
    if (!sent.pictures().isEmpty()) {
      Multipart related = (Multipart) html.getBody();
      assertThat(related.getSubType()).isEqualTo("related");
      for (int i = 0; i < sent.pictures().size(); i++) {
        Entity part = related.getBodyParts().get(i + 1);
        assertThat(part.getHeader().getField("Content-ID").getBody())
            .isEqualTo("<" + sent.pictures().get(i).contentId() + ">");
        assertThat(octets(part)).isEqualTo(sent.pictures().get(i).octets());
      }
      html = related.getBodyParts().get(0);
    }
    assertThat(text(html)).isEqualTo(sent.html());
  }

  private static OutgoingMessage message(Random random, int n) {
    String text =
        random.nextBoolean()
            ? ".\nShort lines\n..\n\n"
                + "of ASCII alone.\n".repeat(random.nextInt(40))
                + (random.nextBoolean() ? "--=_part_0\n--=_part_1--\n" : "")
            : words(random, 300) + "\n.\n..\nFrom here \n" + words(random, 40) + "\t\n";
    return new OutgoingMessage(
        "<" + n + "@ternquay.example>",
        Instant.ofEpochSecond(1_770_000_000L + n),
        new Mailbox(words(random, 3), "orla@ternquay.example"),
        random.nextBoolean()
            ? Optional.empty()
            : Optional.of(new Mailbox(words(random, 3), "tomas@ternquay.example")),
        new Mailbox(words(random, 4), "bea" + n + "@okonjo.example"),
        words(random, 12),
        "<!DOCTYPE html><p>" + words(random, 300).replace("<", "&lt;") + "</p>\n",
        text,
        pictures(random),
        files(random),
        random.nextBoolean()
            ? ThreadPlace.NEW
            : ThreadPlace.following("<first@ternquay.example>", List.of()),
        List.of(),
        Optional.of("https://ternquay.example/leave/token"),
        "return+token@ternquay.example",
        random.nextBoolean());
  }

  private static List<InlinePicture> pictures(Random random) {
    return IntStream.range(0, random.nextInt(3))
        .mapToObj(
            i ->
                new InlinePicture(
                    "picture.k" + i + "@ternquay.example",
                    "/pictures/k" + i,
                    "image/png",
                    octets(random)))
        .toList();
  }

  private static List<AttachedFile> files(Random random) {
    return IntStream.range(0, random.nextInt(11))
        .mapToObj(
            i ->
                new AttachedFile(
                    words(random, 4).strip() + i + ".pdf", "application/pdf", octets(random)))
        .toList();
  }

  private static byte[] octets(Random random) {
    byte[] octets = new byte[random.nextInt(3000)];
    random.nextBytes(octets);
    return octets;
  }

  private static byte[] octets(Entity part) throws IOException {
    try (InputStream in = ((BinaryBody) part.getBody()).getInputStream()) {
      return in.readAllBytes();
    }
  }

  private static String text(Entity part) throws IOException {
    TextBody body = (TextBody) part.getBody();
    try (InputStream in = body.getInputStream()) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8).replace("\r\n", "\n");
    }
  }

  /** An encoded-word has at most 75 characters, a line with one 76 (RFC 2047 section 2). */
  private static void assertEncodedWords(byte[] octets) {
    String header = new String(octets, StandardCharsets.US_ASCII).split("\r\n\r\n", 2)[0];
    for (String line : header.split("\r\n")) {
      if (line.contains("=?UTF-8?")) {
        assertThat(line.length()).as(line).isLessThanOrEqualTo(76);
      }
      for (String word : line.split(" ")) {
        if (word.startsWith("=?UTF-8?")) {
          assertThat(word.length()).as(word).isLessThanOrEqualTo(75);
        }
      }
    }
  }

  @DataProvider
  public Object[][] injected() {
    return new Object[][] {{"\r\nBcc: spy@evil.example"}, {"\n"}, {"\r"}, {"\0"}, {"\r\n\r\nbody"}};
  }

  /** Whatever let it through before, the writer does not. */
  @Test(dataProvider = "injected")
  public void noPartOfAHeaderHoldsALineEnd(String bad) {
    OutgoingMessage good = message(new Random(1), 1);
    ThreadPlace thread = new ThreadPlace("<a" + bad + "@b.example>", List.of());
    ThreadPlace references = new ThreadPlace("<a@b.example>", List.of("<c" + bad + ">"));
    List<OutgoingMessage> all =
        List.of(
            with(
                good,
                "<1@x.example>" + bad,
                "Hello",
                ThreadPlace.NEW,
                "https://x.example/l",
                List.of()),
            with(good, "<1@x.example>", "Hello", thread, "https://x.example/l", List.of()),
            with(good, "<1@x.example>", "Hello", references, "https://x.example/l", List.of()),
            with(
                good,
                "<1@x.example>",
                "Hello",
                ThreadPlace.NEW,
                "https://x.example/l" + bad,
                List.of()),
            with(
                good,
                "<1@x.example>",
                "Hello",
                ThreadPlace.NEW,
                "https://x.example/l",
                List.of(new AttachedFile("a.pdf", "application/pdf" + bad, new byte[1]))));
    for (OutgoingMessage message : all) {
      assertThatThrownBy(() -> MimeWriter.write(message)).hasMessageContaining("line end");
    }
    // Words that people write are encoded, so that nothing of them begins a line.
    String subject =
        new String(
            MimeWriter.write(
                with(
                    good,
                    "<1@x.example>",
                    "Hello" + bad,
                    ThreadPlace.NEW,
                    "https://x.example/l",
                    List.of())),
            StandardCharsets.US_ASCII);
    assertThat(subject).doesNotContain("\r\nBcc:");
  }

  private static OutgoingMessage with(
      OutgoingMessage m,
      String id,
      String subject,
      ThreadPlace thread,
      String leave,
      List<AttachedFile> files) {
    return new OutgoingMessage(
        id,
        m.date(),
        m.from(),
        Optional.empty(),
        m.to(),
        subject,
        m.html(),
        m.text(),
        List.of(),
        files,
        thread,
        List.of(),
        Optional.of(leave),
        m.returnAddress(),
        false);
  }

  @Test
  public void aDomainOfAnotherAlphabetStandsInAsciiAsInTheEnvelope() {
    OutgoingMessage good = message(new Random(1), 1);
    OutgoingMessage message =
        new OutgoingMessage(
            good.messageId(),
            good.date(),
            good.from(),
            Optional.empty(),
            new Mailbox("Uwe", "uwe@bücher.example"),
            "Hello",
            good.html(),
            good.text(),
            List.of(),
            List.of(),
            ThreadPlace.NEW,
            List.of(),
            Optional.empty(),
            good.returnAddress(),
            false);
    assertThat(new String(MimeWriter.write(message), StandardCharsets.UTF_8))
        .contains("To: \"Uwe\" <uwe@xn--bcher-kva.example>");
  }

  /** At most 998 octets, ASCII alone, CRLF at every end. */
  private static void assertLines(byte[] octets) {
    int length = 0;
    for (int i = 0; i < octets.length; i++) {
      assertThat(octets[i]).isGreaterThanOrEqualTo((byte) 0);
      if (octets[i] == '\n') {
        assertThat(octets[i - 1]).isEqualTo((byte) '\r');
        length = 0;
      } else {
        length++;
        assertThat(length).isLessThanOrEqualTo(999);
      }
    }
  }
}
