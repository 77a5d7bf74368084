package app.jemble.series.entry;

import app.jemble.core.record.PersonId;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.series.EntryLook;
import app.jemble.series.Series;
import app.jemble.series.SeriesClocks;
import app.jemble.series.entry.EntryMapper.Entry;
import app.jemble.series.entry.EntryMapper.LastMessage;
import java.time.Instant;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What is known of entries when it is asked what comes next for them. */
@Component
class EntryFacts {

  private final EntryMapper entries;
  private final SeriesClocks clocks;

  EntryFacts(EntryMapper entries, SeriesClocks clocks) {
    this.entries = entries;
    this.clocks = clocks;
  }

  Map<Entry, EntryLook.Entry> of(Series series, List<Entry> lot) {
    // Who is past no step had no message, and nothing came back from them.
    Long[] ids =
        lot.stream().filter(e -> e.passedStepId() != null).map(Entry::id).toArray(Long[]::new);
    Map<Long, LastMessage> last =
        ids.length == 0
            ? Map.of()
            : entries.lastMessages(ids).stream()
                .collect(Collectors.toMap(LastMessage::entryId, Function.identity()));
    Map<Long, Set<ResponseKind>> came = ids.length == 0 ? Map.of() : entries.kinds(ids);
    Map<PersonId, ZoneId> zones = clocks.zones(series, lot.stream().map(Entry::personId).toList());
    ZoneId house = clocks.house();
    Map<Entry, EntryLook.Entry> looked = new LinkedHashMap<>();
    for (Entry entry : lot) {
      looked.put(
          entry,
          new EntryLook.Entry(
              entry.passedStepId(),
              entry.passedAt(),
              begun(entry, last.get(entry.id())),
              entry.heldUntil(),
              zones.getOrDefault(entry.personId(), house),
              came.getOrDefault(entry.id(), Set.of())));
    }
    return looked;
  }

  /** What never left, since it was held or refused, is waited from when it would have. */
  private static Instant begun(Entry entry, LastMessage last) {
    if (last != null && last.sentAt() == null && last.waits()) {
      return null;
    }
    Instant passed = last == null || last.sentAt() == null ? entry.passedAt() : last.sentAt();
    return passed.plusMillis(Math.round(1000 * entry.stoodStill()));
  }
}
