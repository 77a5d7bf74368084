package app.jemble.barred;

import app.jemble.barred.ErasedAddressMapper.Barred;
import app.jemble.record.NewAddresses;
import app.jemble.secret.HouseSecrets;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;

/**
 * Addresses that must not be written to although nobody has them on record: each is kept as a mark
 * that only this house's key makes. When such an address is put on record again, it is known, and
 * stands on the do-not-write list as before.
 */
@Service
public class ErasedAddresses implements NewAddresses {

  private static final String PURPOSE = "address of somebody who was erased";

  private final ErasedAddressMapper mapper;
  private final HouseSecrets secrets;

  ErasedAddresses(ErasedAddressMapper mapper, HouseSecrets secrets) {
    this.mapper = mapper;
    this.secrets = secrets;
  }

  /**
   * Takes the addresses of somebody who is erased off the list, and keeps a mark of each that stood
   * there.
   *
   * @param addresses as they are compared: small letters, numbers as they are dialled
   * @param wished those that are to be kept so though they do not stand there
   * @return how many are kept
   */
  public int erase(Collection<String> addresses, Collection<String> wished, Instant now) {
    List<String> all = List.copyOf(addresses);
    Set<String> marked = new HashSet<>();
    for (Barred barred : mapper.barred(all)) {
      mapper.keep(mark(barred.address()), barred.reason(), barred.since());
      marked.add(barred.address());
    }
    for (String address : wished) {
      if (marked.add(address)) {
        mapper.keep(mark(address), "asked", now);
      }
    }
    mapper.takeOff(all);
    mapper.forgetLifted(all);
    return marked.size();
  }

  @Override
  public void came(Collection<String> addresses) {
    if (addresses.isEmpty() || !mapper.isAny()) {
      return;
    }
    List<String> keys = List.copyOf(addresses);
    mapper.bringBack(keys, keys.stream().map(key -> HexFormat.of().formatHex(mark(key))).toList());
  }

  private byte[] mark(String address) {
    return secrets.mark(PURPOSE, address);
  }
}
