package app.jemble.settings;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.cert.Certificate;
import java.security.cert.CertificateFactory;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLSocketFactory;
import javax.net.ssl.TrustManagerFactory;

/** Those who vouch for a mail server that the machine does not know by itself. */
public final class Authority {

  private Authority() {}

  /**
   * Sockets that trust the certificates of a file and no others.
   *
   * @throws IllegalStateException when the file cannot be read
   */
  public static SSLSocketFactory vouchedFor(Path pem) {
    try (InputStream in = Files.newInputStream(pem)) {
      KeyStore trusted = KeyStore.getInstance(KeyStore.getDefaultType());
      trusted.load(null, null);
      int number = 0;
      for (Certificate one : CertificateFactory.getInstance("X.509").generateCertificates(in)) {
        trusted.setCertificateEntry("authority-" + number++, one);
      }
      TrustManagerFactory trust =
          TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
      trust.init(trusted);
      SSLContext context = SSLContext.getInstance("TLS");
      context.init(null, trust.getTrustManagers(), null);
      return context.getSocketFactory();
    } catch (IOException | GeneralSecurityException e) {
      throw new IllegalStateException("The certificates in " + pem + " cannot be used.", e);
    }
  }
}
