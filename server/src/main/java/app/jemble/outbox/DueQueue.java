package app.jemble.outbox;

import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Where this process is in the order of due messages. Its workers go on from there, instead of
 * passing over what the others have in hand; from time to time, and at the end, they begin anew,
 * for what became due again in between.
 */
@Component
class DueQueue {

  private static final long BEGIN_ANEW_NANOS = 1_000_000_000;

  private final HandoverMapper mapper;
  private DuePlace place = DuePlace.START;
  private long begunAt = System.nanoTime();

  DueQueue(HandoverMapper mapper) {
    this.mapper = mapper;
  }

  /** Due messages, locked until the caller's transaction ends; empty when there are no more. */
  List<HandoverMapper.Claimed> claim(Instant now, int most) {
    DuePlace from = from();
    List<HandoverMapper.Claimed> claimed = mapper.claim(now, most, from);
    if (claimed.isEmpty() && !from.equals(DuePlace.START)) {
      claimed = mapper.claim(now, most, DuePlace.START);
    }
    goOn(claimed, most);
    return claimed;
  }

  private synchronized DuePlace from() {
    if (System.nanoTime() - begunAt > BEGIN_ANEW_NANOS) {
      place = DuePlace.START;
      begunAt = System.nanoTime();
    }
    return place;
  }

  private synchronized void goOn(List<HandoverMapper.Claimed> claimed, int most) {
    if (claimed.size() < most) {
      place = DuePlace.START;
    } else {
      HandoverMapper.Claimed last = claimed.get(claimed.size() - 1);
      place = new DuePlace(last.dueAt(), last.id());
    }
  }
}
