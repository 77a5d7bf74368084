package app.jemble.inbound;

import java.time.Clock;
import org.springframework.stereotype.Service;

/** Which mails are known to answer something, or nothing, and need nobody any more. */
@Service
public class PlacedMails {

  private final InboundMapper mapper;
  private final Clock clock;

  PlacedMails(InboundMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  /** A colleague has said what a mail is. */
  public void place(long mailId, long by) {
    mapper.place(mailId, clock.instant(), by);
  }

  /** It waits for somebody to say what it is. */
  public void unplace(long mailId) {
    mapper.unplace(mailId);
  }
}
