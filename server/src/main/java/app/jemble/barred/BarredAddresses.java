package app.jemble.barred;

import app.jemble.core.record.EmailAddress;
import java.time.Instant;
import org.springframework.stereotype.Service;

/** What software puts on the do-not-write list, and takes off again. */
@Service
public class BarredAddresses {

  private final DoNotWriteMapper mapper;

  BarredAddresses(DoNotWriteMapper mapper) {
    this.mapper = mapper;
  }

  /** Puts an address on the list; an earlier reason stays. */
  public void bar(String address, String reason, Instant at, String note) {
    mapper.bar(address, reason, at, note);
  }

  /** What put an address on the list turned out to be something else. */
  public void writeAgain(String address, String reason, String note, Instant at, long by) {
    String key = EmailAddress.key(address);
    if (reason.equals(mapper.whatCameBack(key))) {
      mapper.noteLifted(key, note, at, by);
      mapper.lift(key);
    }
  }
}
