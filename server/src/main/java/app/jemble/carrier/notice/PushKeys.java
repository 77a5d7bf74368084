package app.jemble.carrier.notice;

import app.jemble.core.notice.P256;
import java.security.KeyPair;
import java.security.SecureRandom;
import java.security.interfaces.ECPrivateKey;
import java.security.interfaces.ECPublicKey;
import java.util.Base64;
import org.springframework.stereotype.Component;

/** The keys by which push services know the house; made when they are first needed. */
@Component
public class PushKeys {

  private final PushKeyMapper mapper;
  private volatile Pair known;

  PushKeys(PushKeyMapper mapper) {
    this.mapper = mapper;
  }

  /** As {@link P256} reads it. */
  record Pair(ECPrivateKey privateKey, ECPublicKey publicKey) {}

  Pair pair() {
    Pair pair = known;
    if (pair == null) {
      pair = read(mapper.find() == null ? made() : mapper.find());
      known = pair;
    }
    return pair;
  }

  /** What the app gives its push service when it asks to be let in (RFC 8292, section 4). */
  public String publicKey() {
    return Base64.getUrlEncoder().withoutPadding().encodeToString(P256.octets(pair().publicKey()));
  }

  private PushKeyMapper.Pair made() {
    KeyPair fresh = P256.pair(new SecureRandom());
    mapper.keep(
        new PushKeyMapper.Pair(
            P256.octets((ECPrivateKey) fresh.getPrivate()),
            P256.octets((ECPublicKey) fresh.getPublic())));
    return mapper.find();
  }

  private static Pair read(PushKeyMapper.Pair kept) {
    return new Pair(P256.privateKey(kept.privateKey()), P256.publicKey(kept.publicKey()));
  }
}
