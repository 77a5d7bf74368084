package app.jemble.inbound;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Mails that no program writes: our own seeds, and others' samples where they are, changed. */
public final class RandomMails {

  private static final List<String> SEEDS =
      List.of(
          """
          From: Bea <bea@okonjo.example>
          To: orla@ternquay.example
          Subject: Re: The slipway opens
          Message-ID: <1@okonjo.example>
          In-Reply-To: <0123456789abcdef0123456789abcdef@ternquay.example>
          Date: Mon, 1 Mar 2027 10:00:00 +0000
          Authentication-Results: mx.ternquay.example; dkim=pass; spf=fail (x)
          MIME-Version: 1.0
          Content-Type: multipart/alternative; boundary="b"

          --b
          Content-Type: text/plain; charset=utf-8
          Content-Transfer-Encoding: quoted-printable

          Yes, gladly =E2=80=93 see you.
          > quoted
          --b
          Content-Type: text/html

          <p>Yes, <b>gladly</b></p><ul><li>one<li>two</ul>
          --b--
          """,
          """
          From: mailer-daemon@far.test
          To: return+0123456789abcdef0123456789abcdef@ternquay.example
          Subject: Undelivered Mail Returned to Sender
          Auto-Submitted: auto-replied
          Content-Type: multipart/report; report-type=delivery-status; boundary="r"

          --r

          <bea@okonjo.example>: no such user
          --r
          Content-Type: message/delivery-status

          Reporting-MTA: dns; far.test

          Final-Recipient: rfc822; bea@okonjo.example
          Action: failed
          Status: 5.1.1
          Diagnostic-Code: smtp; 550 no such user
          --r
          Content-Type: message/rfc822

          Message-ID: <x@ternquay.example>
          Subject: Hello

          Hello
          --r--
          """,
          """
          From: =?utf-8?q?B=C3=A9a?= <bea@okonjo.example>
          Subject: =?utf-8?b?UmU6IEhlbGxv?= out of office until 12 March
          Content-Type: message/feedback-report

          Feedback-Type: abuse
          Original-Rcpt-To: bea@okonjo.example
          """);

  private static final List<String> PIECES =
      List.of(
          "\0",
          "\r\n",
          "\n",
          "\r",
          "=?utf-8?q?=00?=",
          "=?utf-8?q?=0D=0A?=",
          "=?x?b?",
          "re: ",
          "<blockquote>",
          "<ul><li>",
          "--b",
          "--r",
          "boundary=",
          "Content-Type: multipart/mixed; boundary=b\r\n",
          "<a@b>",
          "@",
          ":",
          ";",
          "\"",
          "(((",
          "Message-ID: <",
          "charset=x-none",
          "base64",
          "\u00e9",
          "\ufffd",
          "5.1.1",
          "550 ",
          "-----",
          "Subject: ",
          "From: ",
          "=00",
          "=3D",
          "%",
          "Content-Type: message/rfc822\r\n\r\n");

  private final Random random;
  private final List<byte[]> seeds = new ArrayList<>();

  public RandomMails(long seed) {
    random = new Random(seed);
    SEEDS.forEach(s -> seeds.add(s.replace("\n", "\r\n").getBytes(StandardCharsets.UTF_8)));
    String folder = System.getenv("JEMBLE_FOREIGN_RETURNS");
    if (folder != null) {
      readSamples(Path.of(folder, "tests", "data"));
    }
  }

  private void readSamples(Path folder) {
    try (var files = Files.list(folder)) {
      for (Path file : files.filter(f -> f.toString().endsWith(".txt")).sorted().toList()) {
        seeds.add(Files.readAllBytes(file));
      }
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** The next one: a seed with some of its octets changed, cut, doubled or put elsewhere. */
  public byte[] next() {
    byte[] mail = seeds.get(random.nextInt(seeds.size()));
    for (int i = random.nextInt(6); i >= 0; i--) {
      mail = changed(mail);
    }
    return mail;
  }

  private byte[] changed(byte[] mail) {
    if (mail.length == 0) {
      return mail;
    }
    int at = random.nextInt(mail.length);
    int length = random.nextInt(Math.min(mail.length - at, 200) + 1);
    return switch (random.nextInt(6)) {
      case 0 ->
          joined(
              part(mail, 0, at),
              new byte[] {(byte) random.nextInt(256)},
              part(mail, at + 1, mail.length));
      case 1 -> joined(part(mail, 0, at), part(mail, at + length, mail.length));
      case 2 -> joined(part(mail, 0, at + length), part(mail, at, mail.length));
      case 3 -> {
        String piece =
            PIECES
                .get(random.nextInt(PIECES.size()))
                .repeat(1 + random.nextInt(random.nextInt(20) == 0 ? 2_000 : 3));
        yield joined(
            part(mail, 0, at), piece.getBytes(StandardCharsets.UTF_8), part(mail, at, mail.length));
      }
      case 4 -> {
        byte[] other = seeds.get(random.nextInt(seeds.size()));
        int from = random.nextInt(other.length);
        yield joined(part(mail, 0, at), part(other, from, other.length));
      }
      default -> part(mail, 0, at);
    };
  }

  private static byte[] part(byte[] mail, int from, int to) {
    return from >= to
        ? new byte[0]
        : java.util.Arrays.copyOfRange(mail, from, Math.min(to, mail.length));
  }

  private static byte[] joined(byte[]... parts) {
    int length = 0;
    for (byte[] part : parts) {
      length += part.length;
    }
    byte[] all = new byte[length];
    int at = 0;
    for (byte[] part : parts) {
      System.arraycopy(part, 0, all, at, part.length);
      at += part.length;
    }
    return all;
  }
}
