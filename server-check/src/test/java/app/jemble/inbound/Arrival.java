package app.jemble.inbound;

import app.jemble.Eventually;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.function.BooleanSupplier;
import org.springframework.context.ApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A mail that arrives, without a mailbox. */
public final class Arrival {

  private Arrival() {}

  /** A reply to a message; answers the number of the mail. */
  public static long reply(ApplicationContext application, String name, String token) {
    String mail =
        String.format(
            Locale.ROOT,
            """
        From: Bea Private <%1$s@private.example>
        To: tomas@ternquay.example
        Subject: Re: Hello
        Message-ID: <%1$s@private.example>
        In-Reply-To: <%2$s@ternquay.example>

        Thank you.
        """,
            name,
            token);
    return take(application, mail, "<" + name + "@private.example>");
  }

  /** A report about a message that nobody can read; answers the number of the mail. */
  public static long unreadReport(ApplicationContext application, String name, String token) {
    String mail =
        String.format(
            Locale.ROOT,
            """
        From: mailer-daemon@far.example
        To: return+%2$s@ternquay.example
        Subject: Hm
        Message-ID: <%1$s-hm@far.example>

        Something happened.
        """,
            name,
            token);
    return take(application, mail, "<" + name + "-hm@far.example>");
  }

  private static long take(ApplicationContext application, String mail, String identity) {
    byte[] octets = mail.replace("\n", "\r\n").getBytes(StandardCharsets.UTF_8);
    application.getBean(InboundService.class).receive(octets);
    return application
        .getBean(JdbcClient.class)
        .sql("select id from inbound_mail where identity = ?")
        .param(identity)
        .query(Long.class)
        .single();
  }

  public static void await(BooleanSupplier there) {
    Eventually.holds(
        () -> {
          if (!there.getAsBoolean()) {
            throw new AssertionError("it has not come");
          }
        });
  }
}
