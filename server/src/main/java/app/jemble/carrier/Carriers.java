package app.jemble.carrier;

import app.jemble.core.reach.Channel;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The carriers of the house, one a channel. */
@Component
public class Carriers {

  private final Map<Channel, Carrier> byChannel = new EnumMap<>(Channel.class);

  Carriers(List<Carrier> carriers) {
    for (Carrier carrier : carriers) {
      if (byChannel.put(carrier.channel(), carrier) != null) {
        throw new IllegalStateException("two carriers of " + carrier.channel());
      }
    }
  }

  /** Whether the house has what it takes to go a way. */
  public boolean serve(Channel way) {
    Carrier carrier = byChannel.get(way);
    return way.isByHand() || carrier != null && carrier.lineCount() > 0;
  }

  public Collection<Carrier> all() {
    return byChannel.values();
  }
}
