package app.jemble.check;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The last look at each of a few mailings: of those that were looked at or asked for last, so that
 * what somebody has just looked at is there for what they ask next.
 */
final class LastLooks {

  /** A mailing, and who was there to be looked at for the colleague who asked. */
  record Looked(long mailing, String whom) {}

  private final Map<Looked, Checked> looks;

  LastLooks(int most) {
    looks = Collections.synchronizedMap(new ByUse(most));
  }

  /** Null when there was none. */
  Checked get(Looked looked) {
    return looks.get(looked);
  }

  void put(Looked looked, Checked checked) {
    looks.put(looked, checked);
  }

  /** Instead of the one that is there, unless that is of other words. */
  void keep(Looked looked, Checked checked) {
    looks.computeIfPresent(
        looked, (one, last) -> last.version() == checked.version() ? checked : last);
  }

  private static final class ByUse extends LinkedHashMap<Looked, Checked> {

    private static final long serialVersionUID = 1;

    private final int most;

    private ByUse(int most) {
      super(16, 0.75f, true);
      this.most = most;
    }

    @Override
    protected boolean removeEldestEntry(Map.Entry<Looked, Checked> eldest) {
      return size() > most;
    }
  }
}
