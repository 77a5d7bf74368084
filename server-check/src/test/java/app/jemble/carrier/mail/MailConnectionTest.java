package app.jemble.carrier.mail;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.HouseCertificate;
import app.jemble.carrier.HandoverResult;
import app.jemble.core.house.ServiceSetting.Protection;
import app.jemble.settings.JembleSettings.Smtp;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Hand-overs over plain and protected connections, in groups of commands and one by one. */
public class MailConnectionTest {

  private static final String TEXT = "Subject: x\r\n\r\n.\r\n..\r\nfine\r\n";
  private static final Envelope ANN = new Envelope("return+a@quay.example", "ann@a.example");
  private static final Envelope BEA = new Envelope("return+b@quay.example", "bea@b.example");

  private HouseCertificate certificate;

  @BeforeClass
  public void makeCertificate() throws Exception {
    certificate = HouseCertificate.make();
  }

  private static Smtp settings(int port, Protection security, String authority) {
    return new Smtp("localhost", port, "", "", security, 1, authority);
  }

  private static byte[] octets(String text) {
    return text.getBytes(StandardCharsets.US_ASCII);
  }

  @DataProvider
  public Object[][] ways() {
    return new Object[][] {
      {Protection.NONE, true},
      {Protection.NONE, false},
      {Protection.STARTTLS, true},
      {Protection.STARTTLS, false},
      {Protection.TLS, true},
      {Protection.TLS, false},
    };
  }

  @Test(dataProvider = "ways")
  public void whatIsGivenIsWhatArrives(Protection security, boolean groups) throws IOException {
    try (HouseMailServer server =
            new HouseMailServer(certificate.sockets(), security == Protection.TLS, groups);
        MailConnection connection =
            new MailConnection(settings(server.port(), security, certificate.authority()))) {
      server.temper =
          security == Protection.NONE
              ? HouseMailServer.Temper.FINE
              : HouseMailServer.Temper.WANTS_PROTECTION;
      assertThat(connection.send(octets(TEXT), ANN, BEA, () -> {}))
          .isEqualTo(new HandoverResult.Accepted());
      assertThat(connection.send(octets(TEXT), BEA, null, () -> {}))
          .isEqualTo(new HandoverResult.Accepted());
      assertThat(connection.send(octets("Subject: y\r\n\r\nno end"), ANN))
          .isEqualTo(new HandoverResult.Accepted());
      String dotted = "Subject: x\r\n\r\n..\r\n...\r\nfine\r\n";
      assertThat(server.texts()).containsExactly(dotted, dotted, "Subject: y\r\n\r\nno end\r\n");
    }
  }

  @Test
  public void aServerThatNobodyVouchesForGetsNothing() throws IOException {
    try (HouseMailServer server = new HouseMailServer(certificate.sockets(), false, true);
        MailConnection connection =
            new MailConnection(settings(server.port(), Protection.STARTTLS, ""))) {
      HandoverResult result = connection.send(octets(TEXT), ANN);
      assertThat(result).isInstanceOf(HandoverResult.Unreachable.class);
      assertThat(server.texts()).isEmpty();
    }
  }

  @Test
  public void oneAddressRefusedDoesNotSpoilTheNext() throws IOException {
    try (RudeMailServer server = new RudeMailServer();
        MailConnection connection =
            new MailConnection(settings(server.port(), Protection.NONE, ""))) {
      assertThat(connection.send(octets(TEXT), new Envelope("a@b.example", "refuse@c.example")))
          .isInstanceOf(HandoverResult.Refused.class);
      assertThat(connection.send(octets(TEXT), ANN)).isEqualTo(new HandoverResult.Accepted());
      assertThat(server.taken()).containsExactly("ann@a.example");
    }
  }

  /** RFC 5321 section 3.8: a server that waits no longer says so, and puts nobody off by it. */
  @Test
  public void aKeptConnectionThatTheServerEndedIsOpenedAnew() throws IOException {
    try (RudeMailServer server = new RudeMailServer();
        MailConnection connection =
            new MailConnection(settings(server.port(), Protection.NONE, ""))) {
      Envelope last = new Envelope("a@b.example", "last@c.example");
      assertThat(connection.send(octets(TEXT), last)).isEqualTo(new HandoverResult.Accepted());
      assertThat(connection.send(octets(TEXT), ANN)).isEqualTo(new HandoverResult.Accepted());
      assertThat(server.taken()).containsExactly("last@c.example", "ann@a.example");
    }
  }

  @Test
  public void anAddressInAnotherAlphabetNeedsAServerThatTakesIt() throws IOException {
    try (HouseMailServer server = new HouseMailServer(null, false, true);
        MailConnection connection =
            new MailConnection(settings(server.port(), Protection.NONE, ""))) {
      assertThat(
              connection.send(octets(TEXT), new Envelope("a@b.example", "мария@c.example")).words())
          .contains("RFC 6531");
      // RFC 5891: the domain alone has an ASCII form.
      assertThat(new Envelope("a@b.example", "maria@bücher.example").to())
          .isEqualTo("maria@xn--bcher-kva.example");
    }
  }

  @Test
  public void theCertificatesMustBeReadable() {
    try (MailConnection connection =
        new MailConnection(settings(1, Protection.TLS, "/no/such/file"))) {
      assertThat(connection.send(octets(TEXT), ANN).words()).contains("/no/such/file");
    }
  }
}
