package app.jemble.core.signup;

import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;

/** How many posts a minute are taken of one network address, and of the network around it. */
public final class PostLimit {

  /** A family or an office behind one address. */
  public static final int OF_ADDRESS = 20;

  /** Those of one provider's street. */
  public static final int OF_NETWORK = 100;

  private static final int IPV4_NETWORK = 3;
  private static final int IPV6_NETWORK = 8;

  private PostLimit() {}

  /**
   * The network of an address: its first 24 bits of IPv4, 64 of IPv6 (what one household is given:
   * RFC 6177, common practice).
   *
   * @param address an IP address as text; a name is no address and is its own network
   */
  public static String network(String address) {
    if (!address.matches("[0-9A-Fa-f:.%]+")) {
      return address;
    }
    try {
      InetAddress read = InetAddress.getByName(address);
      byte[] octets = read.getAddress();
      int kept = read instanceof Inet4Address ? IPV4_NETWORK : IPV6_NETWORK;
      Arrays.fill(octets, kept, octets.length, (byte) 0);
      return InetAddress.getByAddress(octets).getHostAddress() + "/" + kept * 8;
    } catch (UnknownHostException noAddress) {
      return address;
    }
  }
}
