package app.jemble.outbox;

import app.jemble.core.followup.FollowUp;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.message.OutgoingMessage;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.response.Standing;
import app.jemble.workspace.JembleSettings;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The last step before a message meets the mail server: written, kept, and marked as begun. */
@Service
class Departures {

  /** A message ready to be given away. */
  record Ready(byte[] mime, String returnAddress) {}

  private final OutboxMapper mapper;
  private final SharedTexts texts;
  private final JembleSettings settings;
  private final Clock clock;

  Departures(OutboxMapper mapper, SharedTexts texts, JembleSettings settings, Clock clock) {
    this.mapper = mapper;
    this.texts = texts;
    this.settings = settings;
    this.clock = clock;
  }

  /** Empty when it must not leave any more, or another process has it. */
  @Transactional
  Optional<Ready> begin(String worker, OutboxMapper.Claimed message) {
    if (message.followsId() != null) {
      Standing followed = Standing.valueOf(mapper.standing(message.followsId()));
      Optional<String> reason = FollowUp.stoppedBy(followed);
      if (reason.isPresent()) {
        mapper.stop(message.id(), worker, reason.get());
        return Optional.empty();
      }
    }
    Instant now = clock.instant();
    OutgoingMessage outgoing = compose(message, now);
    int begun =
        mapper.begin(
            message.id(),
            worker,
            now,
            now.plus(settings.outbox().lease()),
            outgoing.subject(),
            outgoing.links());
    if (begun == 0) {
      return Optional.empty();
    }
    byte[] mime = MimeWriter.write(outgoing);
    mapper.keepCopy(message.id(), mime);
    return Optional.of(new Ready(mime, outgoing.returnAddress()));
  }

  /**
   * Notes that the mail server took a message over, without waiting for the disk. Losing the note
   * in a crash leaves a message whose hand-over had begun: a doubt, never a second message.
   */
  @Transactional
  void sent(String worker, OutboxMapper.Claimed message) {
    mapper.doNotWaitForDisk();
    mapper.end(message.id(), worker, "sent", "", null, clock.instant());
  }

  private OutgoingMessage compose(OutboxMapper.Claimed message, Instant now) {
    SharedTexts.Frozen frozen = texts.thaw(message.frozen());
    ThreadPlace place = new ThreadPlace(message.inReplyTo(), message.referenceIds());
    return MessageComposer.compose(
            texts.of(message.mailingId()),
            new MessageComposer.Own(
                new Mailbox(message.recipient(), message.address()),
                frozen.values(),
                frozen.language(),
                now,
                message.token(),
                place))
        .message();
  }
}
