package app.jemble.core.message;

import app.jemble.core.merge.Escaping;
import app.jemble.core.record.EmailAddress;

/**
 * A name and an address, as in From or To (RFC 5322 section 3.4). The name is kept on one line.
 *
 * @param name may be empty
 * @param address a valid address
 */
public record Mailbox(String name, String address) {
  public Mailbox {
    name = Escaping.oneLine(name == null ? "" : name);
    address = address.strip();
    if (!EmailAddress.isValid(address)) {
      throw new IllegalArgumentException(
          "Not an e-mail address: “" + Escaping.oneLine(address) + "”.");
    }
  }
}
