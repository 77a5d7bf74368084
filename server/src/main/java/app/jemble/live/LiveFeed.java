package app.jemble.live;

import app.jemble.pool.OnBehalf;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArraySet;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Looks at the database while anybody listens, and says which subjects have changed. No process
 * tells another: each looks for itself, so that any number of them serve one database.
 */
@Component
class LiveFeed {

  private static final Logger LOG = LoggerFactory.getLogger(LiveFeed.class);
  private static final Duration EVERY = Duration.ofSeconds(1);

  /** A look takes at most this share of the time. */
  private static final int REST = 20;

  /** However slow one look was: a machine that has just woken is not slow for good. */
  private static final Duration AT_THE_LATEST = Duration.ofSeconds(5);

  /** So that a connection that is gone is noticed, and none is taken for dead on the way. */
  private static final Duration HEARTBEAT = Duration.ofSeconds(15);

  /** Screens of one colleague, on all machines. */
  private static final int MOST_OF_ONE = 20;

  private final LiveMapper mapper;
  private final Map<Long, Deque<SseEmitter>> byColleague = new HashMap<>();
  private final Set<SseEmitter> listeners = new CopyOnWriteArraySet<>();
  private final ScheduledExecutorService thread =
      Executors.newSingleThreadScheduledExecutor(work -> new Thread(work, "live"));

  /** By colleague who sees their own people only; of the house for all others under null. */
  private Map<Long, LiveMapper.Marks> last = new HashMap<>();

  LiveFeed(LiveMapper mapper) {
    this.mapper = mapper;
    thread.schedule(this::look, EVERY.toMillis(), TimeUnit.MILLISECONDS);
    thread.scheduleWithFixedDelay(
        () -> tell(SseEmitter.event().comment("still here")),
        HEARTBEAT.toMillis(),
        HEARTBEAT.toMillis(),
        TimeUnit.MILLISECONDS);
  }

  /** Before the web server waits for requests to end, which these would not. */
  @EventListener(ContextClosedEvent.class)
  void stop() {
    thread.shutdownNow();
    listeners.forEach(SseEmitter::complete);
  }

  /**
   * Listens for a colleague; of many screens of one the oldest hears no more.
   *
   * @param colleague by id
   */
  SseEmitter listen(long colleague) {
    SseEmitter listener = new SseEmitter(0L);
    listener.onCompletion(() -> forget(colleague, listener));
    listener.onError(gone -> forget(colleague, listener));
    oldest(colleague, listener).ifPresent(SseEmitter::complete);
    listeners.add(listener);
    // Whoever comes back after a break has missed what happened meanwhile.
    thread.execute(() -> tell(listener, SseEmitter.event().data("everything")));
    return listener;
  }

  private synchronized Optional<SseEmitter> oldest(long colleague, SseEmitter fresh) {
    Deque<SseEmitter> theirs = byColleague.computeIfAbsent(colleague, c -> new ArrayDeque<>());
    theirs.addLast(fresh);
    return theirs.size() > MOST_OF_ONE ? Optional.of(theirs.removeFirst()) : Optional.empty();
  }

  private synchronized void forget(long colleague, SseEmitter gone) {
    listeners.remove(gone);
    Deque<SseEmitter> theirs = byColleague.get(colleague);
    if (theirs != null && theirs.remove(gone) && theirs.isEmpty()) {
      byColleague.remove(colleague);
    }
  }

  private void look() {
    long begun = System.nanoTime();
    try {
      if (listeners.isEmpty()) {
        last = new HashMap<>();
      } else {
        endForThoseWhoLeft();
        lookForEach();
      }
    } catch (RuntimeException away) {
      LOG.warn("The database could not be asked what has changed: {}", away.getMessage());
    }
    long took = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
    if (!thread.isShutdown()) {
      long wait = Math.min(Math.max(EVERY.toMillis(), took * REST), AT_THE_LATEST.toMillis());
      thread.schedule(this::look, wait, TimeUnit.MILLISECONDS);
    }
  }

  /** What happens to people whom a colleague does not see, they do not hear of. */
  private void lookForEach() {
    Set<Long> alone = Set.copyOf(mapper.seeingTheirOwn(listening()));
    Map<Long, LiveMapper.Marks> now = new HashMap<>();
    now.put(null, mapper.marks());
    alone.forEach(colleague -> now.put(colleague, OnBehalf.of(colleague, mapper::marks)));
    Map<Long, LiveMapper.Marks> before = last;
    last = now;
    now.forEach(
        (whose, marks) -> {
          List<String> changed =
              before.containsKey(whose) ? changed(before.get(whose), marks) : List.of();
          if (!changed.isEmpty()) {
            SseEmitter.SseEventBuilder event = SseEmitter.event().data(String.join(" ", changed));
            screensOf(whose, alone).forEach(screen -> tell(screen, event));
          }
        });
  }

  /** Screens of one who sees their own people only, or of all who see everybody. */
  private synchronized List<SseEmitter> screensOf(Long whose, Set<Long> alone) {
    return whose != null
        ? screensOf(whose)
        : byColleague.entrySet().stream()
            .filter(one -> !alone.contains(one.getKey()))
            .flatMap(one -> one.getValue().stream())
            .toList();
  }

  /** Whoever was switched off hears no more, whichever process did it. */
  private void endForThoseWhoLeft() {
    for (long colleague : mapper.switchedOff(listening())) {
      screensOf(colleague).forEach(SseEmitter::complete);
    }
  }

  private synchronized Long[] listening() {
    return byColleague.keySet().toArray(Long[]::new);
  }

  private synchronized List<SseEmitter> screensOf(long colleague) {
    return List.copyOf(byColleague.getOrDefault(colleague, new ArrayDeque<>()));
  }

  private static List<String> changed(LiveMapper.Marks before, LiveMapper.Marks now) {
    List<String> changed = new ArrayList<>();
    if (!before.outbox().equals(now.outbox())) {
      changed.add("outbox");
    }
    if (!before.responses().equals(now.responses())) {
      changed.add("responses");
    }
    if (!before.mailings().equals(now.mailings())) {
      changed.add("mailings");
    }
    if (!before.tasks().equals(now.tasks())) {
      changed.add("tasks");
    }
    return changed;
  }

  private void tell(SseEmitter.SseEventBuilder event) {
    listeners.forEach(listener -> tell(listener, event));
  }

  private void tell(SseEmitter listener, SseEmitter.SseEventBuilder event) {
    try {
      listener.send(event);
    } catch (IOException | IllegalStateException gone) {
      listeners.remove(listener);
    }
  }
}
