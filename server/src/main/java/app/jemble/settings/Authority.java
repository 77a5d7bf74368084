package app.jemble.settings;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
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

  private static final String BEGINS = "-----BEGIN CERTIFICATE-----";

  private Authority() {}

  /** Whether it holds certificates that can be read. */
  public static boolean areCertificates(String pem) {
    try {
      return pem.contains(BEGINS) && vouchedFor(pem) != null;
    } catch (IllegalStateException unreadable) {
      return false;
    }
  }

  /**
   * Sockets that trust some certificates and no others.
   *
   * @param pem certificates, or the file they stand in
   * @throws IllegalStateException when they cannot be read
   */
  public static SSLSocketFactory vouchedFor(String pem) {
    boolean areThemselves = pem.contains(BEGINS);
    try (InputStream in =
        areThemselves
            ? new ByteArrayInputStream(pem.getBytes(StandardCharsets.US_ASCII))
            : Files.newInputStream(Path.of(pem))) {
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
      String where = areThemselves ? "that are set" : "in " + pem;
      throw new IllegalStateException("The certificates " + where + " cannot be used.", e);
    }
  }
}
