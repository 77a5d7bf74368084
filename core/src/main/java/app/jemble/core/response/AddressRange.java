package app.jemble.core.response;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Internet addresses that begin with the same bits, as in {@code 192.0.2.0/24} (RFC 4632 section
 * 3.1) or {@code 2001:db8::/32} (RFC 4291 section 2.3).
 *
 * @param octets of the first address, 4 or 16
 * @param bits how many of them count
 */
public record AddressRange(List<Byte> octets, int bits) {

  private static final Pattern FORM = Pattern.compile("[0-9A-Fa-f:.]+(/\\d{1,3})?");

  public AddressRange {
    octets = List.copyOf(octets);
  }

  /** Reads one; an address without a number of bits is itself alone. Empty when it is neither. */
  public static Optional<AddressRange> of(String text) {
    if (!FORM.matcher(text).matches()) {
      return Optional.empty();
    }
    int slash = text.indexOf('/');
    byte[] octets = octets(slash < 0 ? text : text.substring(0, slash));
    if (octets.length == 0) {
      return Optional.empty();
    }
    int bits = slash < 0 ? octets.length * 8 : Integer.parseInt(text.substring(slash + 1));
    return bits > octets.length * 8
        ? Optional.empty()
        : Optional.of(new AddressRange(list(octets), bits));
  }

  private static List<Byte> list(byte[] octets) {
    List<Byte> list = new ArrayList<>();
    for (byte octet : octets) {
      list.add(octet);
    }
    return list;
  }

  /** No octets when it is no address; a name is never looked up. */
  private static byte[] octets(String address) {
    boolean literal = address.indexOf(':') >= 0 || address.matches("\\d+(\\.\\d+){3}");
    if (!literal) {
      return new byte[0];
    }
    try {
      return InetAddress.getByName(address).getAddress();
    } catch (UnknownHostException none) {
      return new byte[0];
    }
  }

  /** Whether an address lies in it; what is no address does not. */
  public boolean holds(String address) {
    byte[] other = octets(address);
    if (other.length != octets.size()) {
      return false;
    }
    for (int bit = 0; bit < bits; bit++) {
      int mask = 0x80 >> (bit % 8);
      if ((octets.get(bit / 8) & mask) != (other[bit / 8] & mask)) {
        return false;
      }
    }
    return true;
  }
}
