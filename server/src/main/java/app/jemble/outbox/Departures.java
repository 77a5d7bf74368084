package app.jemble.outbox;

import app.jemble.core.followup.FollowUp;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.message.OutgoingMessage;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.response.Standing;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The last step before messages meet the mail server: written, and kept as they will leave. */
@Service
class Departures {

  /** A message ready to be given away. */
  record Ready(OutboxMapper.Claimed message, byte[] mime, OutgoingMessage outgoing) {}

  private final OutboxMapper mapper;
  private final SharedTexts texts;
  private final Clock clock;

  Departures(OutboxMapper mapper, SharedTexts texts, Clock clock) {
    this.mapper = mapper;
    this.texts = texts;
    this.clock = clock;
  }

  /** Writes and keeps claimed messages; those that must not leave any more are stopped instead. */
  @Transactional
  List<Ready> prepare(String worker, List<OutboxMapper.Claimed> claimed) {
    Map<Long, Standing> followed = followed(claimed);
    Instant now = clock.instant();
    List<Ready> ready = new ArrayList<>();
    for (OutboxMapper.Claimed message : claimed) {
      Optional<String> reason =
          message.followsId() == null
              ? Optional.empty()
              : FollowUp.stoppedBy(followed.get(message.followsId()));
      if (reason.isPresent()) {
        mapper.stop(message.id(), worker, reason.get());
      } else {
        OutgoingMessage outgoing = compose(message, now);
        ready.add(new Ready(message, MimeWriter.write(outgoing), outgoing));
      }
    }
    keep(ready);
    return ready;
  }

  private Map<Long, Standing> followed(List<OutboxMapper.Claimed> claimed) {
    Long[] ids =
        claimed.stream()
            .map(OutboxMapper.Claimed::followsId)
            .filter(Objects::nonNull)
            .toArray(Long[]::new);
    return ids.length == 0
        ? Map.of()
        : mapper.standings(ids).stream()
            .collect(
                Collectors.toMap(OutboxMapper.StandingRow::id, OutboxMapper.StandingRow::standing));
  }

  private void keep(List<Ready> ready) {
    if (!ready.isEmpty()) {
      Long[] ids = ready.stream().map(r -> r.message().id()).toArray(Long[]::new);
      mapper.write(
          ids,
          ready.stream().map(r -> r.outgoing().subject()).toList(),
          ready.stream().map(r -> String.join("\n", r.outgoing().links())).toList());
      mapper.keepCopies(ids, ready.stream().map(Ready::mime).toArray(byte[][]::new));
    }
  }

  private OutgoingMessage compose(OutboxMapper.Claimed message, Instant now) {
    SharedTexts.Ready ready =
        texts.ready(message.mailingId(), message.personId(), message.frozen());
    ThreadPlace place = new ThreadPlace(message.inReplyTo(), message.referenceIds());
    return MessageComposer.compose(
            ready.shared(),
            new MessageComposer.Own(
                new Mailbox(message.recipient(), message.address()),
                ready.values(),
                ready.language(),
                now,
                message.token(),
                place))
        .message();
  }
}
