package app.jemble.core.notice;

import java.math.BigInteger;
import java.security.AlgorithmParameters;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.SecureRandom;
import java.security.interfaces.ECPrivateKey;
import java.security.interfaces.ECPublicKey;
import java.security.spec.ECFieldFp;
import java.security.spec.ECGenParameterSpec;
import java.security.spec.ECParameterSpec;
import java.security.spec.ECPoint;
import java.security.spec.ECPrivateKeySpec;
import java.security.spec.ECPublicKeySpec;
import java.util.Arrays;

/**
 * Keys of the curve P-256 as octets: public ones uncompressed, 65 octets that begin with 4 (SEC 1,
 * 2.3.3), private ones the 32 octets of the number.
 */
public final class P256 {

  private static final int NUMBER = 32;
  private static final int UNCOMPRESSED = 4;
  private static final ECParameterSpec CURVE = curve();

  private P256() {}

  private static ECParameterSpec curve() {
    try {
      AlgorithmParameters parameters = AlgorithmParameters.getInstance("EC");
      parameters.init(new ECGenParameterSpec("secp256r1"));
      return parameters.getParameterSpec(ECParameterSpec.class);
    } catch (GeneralSecurityException none) {
      throw new IllegalStateException("every Java has this curve", none);
    }
  }

  public static KeyPair pair(SecureRandom random) {
    try {
      KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
      generator.initialize(CURVE, random);
      return generator.generateKeyPair();
    } catch (GeneralSecurityException none) {
      throw new IllegalStateException("every Java has this curve", none);
    }
  }

  /**
   * Reads a public key.
   *
   * @throws IllegalArgumentException when it is no point of the curve
   */
  public static ECPublicKey publicKey(byte[] octets) {
    if (octets.length != 1 + 2 * NUMBER || octets[0] != UNCOMPRESSED) {
      throw new IllegalArgumentException("A public key is 65 octets that begin with 4.");
    }
    ECPoint point =
        new ECPoint(
            new BigInteger(1, Arrays.copyOfRange(octets, 1, 1 + NUMBER)),
            new BigInteger(1, Arrays.copyOfRange(octets, 1 + NUMBER, octets.length)));
    if (!isOnCurve(point)) {
      throw new IllegalArgumentException("The public key is no point of the curve P-256.");
    }
    try {
      return (ECPublicKey)
          KeyFactory.getInstance("EC").generatePublic(new ECPublicKeySpec(point, CURVE));
    } catch (GeneralSecurityException wrong) {
      throw new IllegalArgumentException("The public key cannot be read.", wrong);
    }
  }

  /** y² = x³ + ax + b: a key beside the curve would let another learn ours. */
  private static boolean isOnCurve(ECPoint point) {
    BigInteger p = ((ECFieldFp) CURVE.getCurve().getField()).getP();
    BigInteger x = point.getAffineX();
    BigInteger y = point.getAffineY();
    if (x.compareTo(p) >= 0 || y.compareTo(p) >= 0) {
      return false;
    }
    BigInteger right =
        x.pow(3).add(CURVE.getCurve().getA().multiply(x)).add(CURVE.getCurve().getB()).mod(p);
    return y.multiply(y).mod(p).equals(right);
  }

  /** Reads a private key of 32 octets. */
  public static ECPrivateKey privateKey(byte[] octets) {
    BigInteger number = new BigInteger(1, octets);
    if (octets.length != NUMBER
        || number.signum() == 0
        || number.compareTo(CURVE.getOrder()) >= 0) {
      throw new IllegalArgumentException("A private key is 32 octets, a number of the curve.");
    }
    try {
      return (ECPrivateKey)
          KeyFactory.getInstance("EC").generatePrivate(new ECPrivateKeySpec(number, CURVE));
    } catch (GeneralSecurityException wrong) {
      throw new IllegalArgumentException("The private key cannot be read.", wrong);
    }
  }

  public static byte[] octets(ECPublicKey key) {
    byte[] octets = new byte[1 + 2 * NUMBER];
    octets[0] = UNCOMPRESSED;
    put(key.getW().getAffineX(), octets, 1);
    put(key.getW().getAffineY(), octets, 1 + NUMBER);
    return octets;
  }

  public static byte[] octets(ECPrivateKey key) {
    byte[] octets = new byte[NUMBER];
    put(key.getS(), octets, 0);
    return octets;
  }

  /** A number in 32 octets, the highest first. */
  private static void put(BigInteger number, byte[] into, int at) {
    byte[] octets = number.toByteArray();
    int from = Math.max(0, octets.length - NUMBER);
    System.arraycopy(
        octets, from, into, at + NUMBER - (octets.length - from), octets.length - from);
  }
}
