package app.jemble.record;

import java.util.Collection;

/** Whoever wants to know which addresses came on record. */
public interface NewAddresses {

  /**
   * Addresses are somebody's now.
   *
   * @param addresses as they are compared: small letters, numbers as they are dialled
   */
  void came(Collection<String> addresses);
}
