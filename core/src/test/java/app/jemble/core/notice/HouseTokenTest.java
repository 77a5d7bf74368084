package app.jemble.core.notice;

import static org.assertj.core.api.Assertions.assertThat;

import com.nimbusds.jose.crypto.ECDSAVerifier;
import com.nimbusds.jwt.SignedJWT;
import java.net.URI;
import java.security.KeyPair;
import java.security.SecureRandom;
import java.security.interfaces.ECPrivateKey;
import java.security.interfaces.ECPublicKey;
import java.time.Instant;
import java.util.Base64;
import java.util.Date;
import org.testng.annotations.Test;

/** The token of RFC 8292, verified by an independent library (com.nimbusds:nimbus-jose-jwt). */
public class HouseTokenTest {

  private static final Instant NOW = Instant.parse("2026-11-28T09:00:00Z");

  private final KeyPair keys = P256.pair(new SecureRandom());
  private final ECPublicKey publicKey = (ECPublicKey) keys.getPublic();

  private String header(String device, String contact) {
    return HouseToken.header(
        URI.create(device), contact, NOW, (ECPrivateKey) keys.getPrivate(), publicKey);
  }

  private SignedJWT token(String header) throws Exception {
    assertThat(header).matches("vapid t=[\\w.-]+, k=[\\w-]+");
    String key = header.substring(header.indexOf(", k=") + 4);
    ECPublicKey told = P256.publicKey(Base64.getUrlDecoder().decode(key));
    SignedJWT token = SignedJWT.parse(header.substring("vapid t=".length(), header.indexOf(',')));
    assertThat(token.verify(new ECDSAVerifier(told))).isTrue();
    return token;
  }

  @Test
  public void aPushServiceFindsItSigned() throws Exception {
    SignedJWT token =
        token(header("https://push.example:8443/to/abc", "mailto:post@lowen.example"));
    assertThat(token.getHeader().getAlgorithm().getName()).isEqualTo("ES256");
    assertThat(token.getJWTClaimsSet().getAudience()).containsExactly("https://push.example:8443");
    assertThat(token.getJWTClaimsSet().getSubject()).isEqualTo("mailto:post@lowen.example");
    assertThat(token.getJWTClaimsSet().getExpirationTime())
        .isEqualTo(Date.from(NOW.plus(HouseToken.GOOD_FOR)))
        .isBefore(Date.from(NOW.plusSeconds(86_400)));
  }

  @Test
  public void anotherKeyDidNotSignIt() throws Exception {
    SignedJWT token = token(header("https://push.example/a", "https://lowen.example"));
    ECPublicKey other = (ECPublicKey) P256.pair(new SecureRandom()).getPublic();
    assertThat(token.verify(new ECDSAVerifier(other))).isFalse();
  }

  @Test
  public void aContactBreaksNothing() throws Exception {
    SignedJWT token = token(header("https://push.example/a", "mailto:a\",\"aud\":\"b\\"));
    assertThat(token.getJWTClaimsSet().getAudience()).containsExactly("https://push.example");
  }
}
