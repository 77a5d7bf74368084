package app.jemble;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.util.ArrayList;
import java.util.List;
import javax.net.ssl.KeyManagerFactory;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLSocket;
import javax.net.ssl.SSLSocketFactory;

/**
 * A certificate for "localhost" that nobody vouches for but itself.
 *
 * @param authority the file that says so (PEM)
 * @param sockets that show it
 */
public record HouseCertificate(String authority, SSLSocketFactory sockets) {

  private static final String PASSWORD = "secret-quay";

  /** Makes one that no other trial has. */
  public static HouseCertificate make()
      throws IOException, InterruptedException, GeneralSecurityException {
    Path folder = Files.createTempDirectory("jemble-tls");
    String store = folder.resolve("keys.p12").toString();
    String authority = folder.resolve("house.pem").toString();
    List<String> key = List.of("-alias", "house", "-keystore", store, "-storepass", PASSWORD);
    keytool(
        key, "-genkeypair", "-keyalg", "EC", "-dname", "CN=localhost", "-ext", "san=dns:localhost");
    keytool(key, "-exportcert", "-rfc", "-file", authority);
    KeyStore keys = KeyStore.getInstance("PKCS12");
    try (InputStream in = Files.newInputStream(Path.of(store))) {
      keys.load(in, PASSWORD.toCharArray());
    }
    KeyManagerFactory managers =
        KeyManagerFactory.getInstance(KeyManagerFactory.getDefaultAlgorithm());
    managers.init(keys, PASSWORD.toCharArray());
    SSLContext context = SSLContext.getInstance("TLS");
    context.init(managers.getKeyManagers(), null, null);
    return new HouseCertificate(authority, context.getSocketFactory());
  }

  private static void keytool(List<String> key, String... words)
      throws IOException, InterruptedException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "keytool").toString());
    command.addAll(List.of(words));
    command.addAll(key);
    if (new ProcessBuilder(command).inheritIO().start().waitFor() != 0) {
      throw new IllegalStateException("no certificate could be made: " + words[0]);
    }
  }

  /** A server's end of a connection that goes on protected. */
  public Socket over(Socket client) throws IOException {
    SSLSocket socket = (SSLSocket) sockets.createSocket(client, null, client.getPort(), true);
    socket.setUseClientMode(false);
    return socket;
  }
}
