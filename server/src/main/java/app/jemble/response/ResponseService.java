package app.jemble.response;

import app.jemble.barred.BarredAddresses;
import app.jemble.consent.Consents;
import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.FetchJudge;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.response.Signs;
import app.jemble.core.response.SoftReturns;
import app.jemble.core.response.Standing;
import app.jemble.outbox.MessageStandings;
import app.jemble.response.ResponseMapper.Opened;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Notes what came back, and what follows from it. */
@Service
public class ResponseService {

  /** So long a reply counts of which nobody knows whether the person wrote it. */
  static final Duration UNSURE_FOR = Duration.ofDays(7);

  private final ResponseMapper mapper;
  private final MessageStandings standings;
  private final BarredAddresses barred;
  private final Consents consents;
  private final CountingService counting;
  private final Clock clock;

  ResponseService(
      ResponseMapper mapper,
      MessageStandings standings,
      BarredAddresses barred,
      Consents consents,
      CountingService counting,
      Clock clock) {
    this.mapper = mapper;
    this.standings = standings;
    this.barred = barred;
    this.consents = consents;
    this.counting = counting;
    this.clock = clock;
  }

  /** A fetch of an open mark. */
  public record Fetched(String token, String agent, String address, Instant at) {}

  /** Open marks were fetched, of many messages or of one: they are noted together. */
  @Transactional
  public void opened(List<Fetched> fetches) {
    Map<String, Opened> messages =
        mapper.opened(fetches.stream().map(Fetched::token).distinct().toList()).stream()
            .collect(Collectors.toMap(Opened::token, m -> m));
    List<Opened> opens = new ArrayList<>();
    List<ResponseKind> kinds = new ArrayList<>();
    List<Instant> instants = new ArrayList<>();
    Set<MessageId> toStand = new TreeSet<>();
    for (Fetched fetch : fetches) {
      Opened message = messages.get(fetch.token());
      if (message != null) {
        boolean machine =
            isMachine(message.handedOver(), fetch.agent(), fetch.address(), fetch.at());
        opens.add(message);
        instants.add(fetch.at());
        kinds.add(machine ? ResponseKind.MACHINE_OPENED : ResponseKind.OPENED);
        if (machine ? !message.settledForMachines() : !message.settled()) {
          toStand.add(message.id());
        }
      }
    }
    note(opens, kinds, instants, toStand.toArray(MessageId[]::new));
  }

  /** In the order of messages, so that two processes do not wait for each other. */
  private void note(
      List<Opened> opens, List<ResponseKind> kinds, List<Instant> instants, MessageId[] toStand) {
    if (toStand.length > 0) {
      stand(toStand, opens, kinds);
    }
    mapper.addOpens(
        instants.stream().map(Instant::toEpochMilli).toArray(Long[]::new),
        opens.stream().map(Opened::id).toArray(MessageId[]::new),
        opens.stream().map(Opened::causeId).toArray(Long[]::new),
        opens.stream().map(Opened::personId).toArray(PersonId[]::new),
        kinds.stream().map(ResponseKind::name).toList());
  }

  /** Before the opens are added: then nothing is left to be written of the messages. */
  private void stand(MessageId[] messages, List<Opened> opens, List<ResponseKind> kinds) {
    standings.lockAll(messages);
    Map<MessageId, Set<ResponseKind>> all = new TreeMap<>();
    for (MessageId message : messages) {
      all.put(message, EnumSet.noneOf(ResponseKind.class));
    }
    for (ResponseMapper.Kinds before : mapper.kindsOf(messages)) {
      before.kinds().forEach(kind -> all.get(before.message()).add(ResponseKind.valueOf(kind)));
    }
    for (int i = 0; i < kinds.size(); i++) {
      Set<ResponseKind> theirs = all.get(opens.get(i).id());
      if (theirs != null) {
        theirs.add(kinds.get(i));
      }
    }
    Map<MessageId, MessageStandings.Stands> stand = new TreeMap<>();
    all.forEach(
        (id, theirs) ->
            stand.put(
                id,
                new MessageStandings.Stands(
                    Standing.of(theirs), theirs.contains(ResponseKind.OPENED))));
    standings.standAll(stand);
  }

  /** A link was followed; answers where it leads, or empty when it was not in the message. */
  @Transactional
  public Optional<String> clicked(String token, int link, String agent, String address) {
    Answered message = mapper.byToken(token);
    if (message == null || link < 0 || link >= message.links().size()) {
      return Optional.empty();
    }
    String target = message.links().get(link);
    if (target.isEmpty()) {
      return Optional.empty();
    }
    boolean machine = isMachine(message.handedOver(), agent, address, clock.instant());
    note(message, machine ? ResponseKind.MACHINE_CLICKED : ResponseKind.CLICKED, target, null);
    if (!machine) {
      judgeBurst(message);
    }
    return Optional.of(target);
  }

  /** With the last of all links it shows that none of them was followed by a reader. */
  private void judgeBurst(Answered message) {
    Set<String> links = new TreeSet<>(message.links());
    links.remove("");
    Instant since = clock.instant().minus(counting.rules().burst());
    if (FetchJudge.isBurst(links, mapper.followed(message.id(), since))) {
      mapper.takeForSoftware(message.id(), since);
      rejudge(message.id());
    }
  }

  /** The message of a token; empty when it has not left, or is none of ours. */
  public Optional<Answered> message(String token) {
    return Optional.ofNullable(mapper.byToken(token));
  }

  /** The app says that its person opened a notice; answers whose it was. Again changes nothing. */
  @Transactional
  public Optional<PersonId> openedInApp(String token) {
    Answered message = mapper.byToken(token);
    if (message == null || message.channel() != Channel.APP) {
      return Optional.empty();
    }
    standings.lock(message.id());
    if (!mapper.kinds(message.id()).contains(ResponseKind.OPENED)) {
      note(message, ResponseKind.OPENED, "in the app", null);
    }
    return Optional.of(message.personId());
  }

  /** The reader left the topic of the message; again changes nothing. */
  @Transactional
  public boolean left(String token) {
    Answered message = mapper.byToken(token);
    if (message == null) {
      return false;
    }
    Instant now = clock.instant();
    consents.leave(message.personId(), message.topicId(), message.channel(), now);
    standings.lock(message.id());
    if (!mapper.kinds(message.id()).contains(ResponseKind.LEFT)) {
      note(message, ResponseKind.LEFT, "", null);
    }
    return true;
  }

  /** Notes one response, moves the message's standing, and does what follows from it. */
  @Transactional
  public void note(Answered message, ResponseKind kind, String detail, Long mailId) {
    note(message, kind, detail, mailId, false);
  }

  /**
   * The same.
   *
   * @param unsure whether nobody knows yet that the message's own person wrote
   */
  @Transactional
  public void note(
      Answered message, ResponseKind kind, String detail, Long mailId, boolean unsure) {
    standings.lock(message.id());
    Instant now = clock.instant();
    if (mapper.add(message, kind, now, detail, mailId, unsure) == 0) {
      return;
    }
    restand(message.id());
    switch (kind) {
      case RETURNED_HARD -> barred.bar(message.address(), "hard return", now, detail);
      case RETURNED_SOFT -> countSoftReturns(message, now, detail);
      case COMPLAINED -> barred.bar(message.address(), "complaint", now, detail);
      default -> {}
    }
  }

  /** What a mail was taken for is not so: somebody says something else, or says nothing of it. */
  public void forgetUnsure(long mailId) {
    mapper.dropUnsure(mailId).forEach(this::standAnew);
  }

  /** Replies of which nobody has said in time that the person wrote them count no longer. */
  @Transactional
  public void forgetUnsure() {
    mapper.dropUnsureBefore(clock.instant().minus(UNSURE_FOR)).forEach(this::standAnew);
  }

  private void standAnew(MessageId messageId) {
    standings.lock(messageId);
    rejudge(messageId);
  }

  /**
   * What a mail was taken for is not so.
   *
   * @param kind what it is instead; null when it answers nothing
   */
  public void take(long responseId, ResponseKind kind) {
    if (kind == null) {
      mapper.remove(responseId);
    } else {
      mapper.take(responseId, kind);
    }
  }

  /** A colleague says of a mail what it is; its message stands as if that had been known before. */
  public void readAnew(MessageId messageId, ResponseKind before, long by) {
    rejudge(messageId);
    Answered message = mapper.byId(messageId);
    String stood =
        switch (before) {
          case RETURNED_HARD -> mapper.came(message.address(), before) ? null : "hard return";
          case COMPLAINED -> mapper.came(message.address(), before) ? null : "complaint";
          case RETURNED_SOFT -> returnsTooOften(message) ? null : "soft returns";
          default -> null;
        };
    if (stood != null) {
      barred.writeAgain(
          message.address(), stood, "What came back was read anew.", clock.instant(), by);
    }
  }

  /** The last day on which whoever wrote a mail is away, as it says. */
  public void awayUntil(long mailId, LocalDate day) {
    mapper.awayUntil(mailId, day);
  }

  /** Keeps two responses to one message from being judged at once. */
  public void lock(MessageId messageId) {
    standings.lock(messageId);
  }

  /** Where a message stands follows from all responses to it. */
  private void restand(MessageId messageId) {
    standings.stand(messageId, Standing.of(kinds(messageId)));
  }

  /** The same, and its signs, after a response was changed or taken away. */
  private void rejudge(MessageId messageId) {
    Set<ResponseKind> kinds = kinds(messageId);
    standings.stand(messageId, Standing.of(kinds));
    standings.sign(messageId, Signs.of(kinds));
  }

  private Set<ResponseKind> kinds(MessageId messageId) {
    Set<ResponseKind> kinds = EnumSet.noneOf(ResponseKind.class);
    kinds.addAll(mapper.kinds(messageId));
    return kinds;
  }

  private void countSoftReturns(Answered message, Instant now, String detail) {
    if (returnsTooOften(message)) {
      barred.bar(message.address(), "soft returns", now, detail);
    }
  }

  private boolean returnsTooOften(Answered message) {
    Instant since = SoftReturns.since(clock.instant());
    return SoftReturns.tooMany(mapper.softReturns(message.address(), since));
  }

  private boolean isMachine(Instant handedOver, String agent, String address, Instant at) {
    return FetchJudge.isMachine(
        handedOver, new FetchJudge.Fetch(at, agent, address), counting.rules());
  }
}
