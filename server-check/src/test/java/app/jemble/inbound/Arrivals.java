package app.jemble.inbound;

import app.jemble.response.ResponseService;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import org.springframework.context.ApplicationContext;

/** What comes back from readers, as if it had just arrived. */
public final class Arrivals {

  private static final String OURS = "@ternquay.example>";

  private final ApplicationContext application;

  private int returns;

  public Arrivals(ApplicationContext application) {
    this.application = application;
  }

  /** A reply to the message of a token. */
  public void reply(String from, String token, String words) {
    mail(
        String.format(
            Locale.ROOT,
            """
        From: %s
        Message-ID: <%s.reply@reader.test>
        In-Reply-To: <%s%s

        %s
        """,
            from,
            token,
            token,
            OURS,
            words));
  }

  /** An automatic reply (RFC 3834) to the message of a token. */
  public void away(String from, String token, String words) {
    mail(
        String.format(
            Locale.ROOT,
            """
        From: %s
        Message-ID: <%s.away@reader.test>
        In-Reply-To: <%s%s
        Auto-Submitted: auto-replied

        %s
        """,
            from,
            token,
            token,
            OURS,
            words));
  }

  /** A reply in which nothing says what it answers. */
  public void stranger(String from, String id) {
    mail(
        String.format(
            Locale.ROOT,
            """
        From: %s
        Message-ID: <%s@reader.test>
        Subject: A word

        Something else altogether.
        """,
            from,
            id));
  }

  /** The message of a token is returned for good (RFC 3464); each return is a mail of its own. */
  public void returned(String address, String token) {
    mail(
        String.format(
            Locale.ROOT,
            """
        From: Mail System <mailer-daemon@reader.test>
        Message-ID: <%2$s.return%3$d@reader.test>
        To: return+%2$s@ternquay.example
        Content-Type: multipart/report; report-type=delivery-status; boundary=b
        MIME-Version: 1.0

        --b
        Content-Type: text/plain

        It could not be delivered.
        --b
        Content-Type: message/delivery-status

        Reporting-MTA: dns; reader.test

        Final-Recipient: rfc822; %1$s
        Action: failed
        Status: 5.1.1
        --b--
        """,
            address,
            token,
            ++returns));
  }

  private void mail(String text) {
    application
        .getBean(InboundService.class)
        .receive(text.replace("\n", "\r\n").getBytes(StandardCharsets.UTF_8));
  }

  /** The reader leaves the topic of the message. */
  public void left(String token) {
    application.getBean(ResponseService.class).left(token);
  }

  /** Somebody follows a link of the message, counted from 0. */
  public void clicked(String token, int link) {
    application
        .getBean(ResponseService.class)
        .clicked(token, link, "Mozilla/5.0 (X11) Mail/128", "192.0.2.7");
  }

  /** A person opens the message. */
  public void opened(String token) {
    application
        .getBean(ResponseService.class)
        .opened(
            List.of(
                new ResponseService.Fetched(
                    token,
                    "Mozilla/5.0 (X11) Mail/128",
                    "192.0.2.7",
                    application.getBean(java.time.Clock.class).instant())));
  }
}
