package app.jemble.standins.push;

import com.google.crypto.tink.subtle.EcdsaVerifyJce;
import com.google.crypto.tink.subtle.EllipticCurves;
import com.google.crypto.tink.subtle.Enums.HashType;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.interfaces.ECPublicKey;
import java.time.Instant;
import java.util.Base64;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Whether a house that writes is the one that the device let in (RFC 8292, sections 2 and 4). */
final class HousePass {

  private static final Pattern VAPID =
      Pattern.compile("vapid t=([\\w-]+)\\.([\\w-]+)\\.([\\w-]+), *k=([\\w-]+)");

  private static final long A_DAY = 86_400;

  /** A signature that was good once is not reckoned again. */
  private static final Set<String> GOOD = ConcurrentHashMap.newKeySet();

  private HousePass() {}

  static boolean isGood(String authorization, String origin, String houseKey) {
    Matcher pass = VAPID.matcher(authorization == null ? "" : authorization);
    if (!pass.matches() || !pass.group(4).equals(houseKey)) {
      return false;
    }
    JsonObject claims =
        JsonParser.parseString(new String(decoded(pass.group(2)), StandardCharsets.UTF_8))
            .getAsJsonObject();
    long left = claims.get("exp").getAsLong() - Instant.now().getEpochSecond();
    return claims.get("aud").getAsString().equals(origin)
        && left > 0
        && left <= A_DAY
        && (GOOD.contains(authorization) || isSigned(pass, authorization));
  }

  private static boolean isSigned(Matcher pass, String authorization) {
    try {
      ECPublicKey key =
          EllipticCurves.getEcPublicKey(
              EllipticCurves.CurveType.NIST_P256,
              EllipticCurves.PointFormatType.UNCOMPRESSED,
              decoded(pass.group(4)));
      new EcdsaVerifyJce(key, HashType.SHA256, EllipticCurves.EcdsaEncoding.IEEE_P1363)
          .verify(
              decoded(pass.group(3)),
              (pass.group(1) + "." + pass.group(2)).getBytes(StandardCharsets.US_ASCII));
      GOOD.add(authorization);
      return true;
    } catch (GeneralSecurityException forged) {
      return false;
    }
  }

  private static byte[] decoded(String base64) {
    return Base64.getUrlDecoder().decode(base64);
  }
}
