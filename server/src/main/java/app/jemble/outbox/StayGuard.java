package app.jemble.outbox;

import app.jemble.core.followup.FollowUp;
import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Reach;
import app.jemble.core.reach.Ways;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.Standing;
import app.jemble.departure.LastLook;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Which messages must not leave after all: to people who left, or were put on the do-not-write list
 * since release; and those that follow a message which was answered or came back.
 */
@Component
class StayGuard {

  /**
   * Why a message stays.
   *
   * @param shut its way, where that is the reason; null for any other
   */
  record Stop(String reason, Ways.Shut shut) {

    static Stop of(String reason) {
      return new Stop(reason, null);
    }
  }

  private final HandoverMapper mapper;
  private final List<LastLook> looks;

  StayGuard(HandoverMapper mapper, List<LastLook> looks) {
    this.mapper = mapper;
    this.looks = looks;
  }

  /** Those of the messages that stay, with the reason. */
  Map<MessageId, Stop> stopped(List<HandoverMapper.Claimed> messages) {
    Map<MessageId, Stop> stopped = new HashMap<>();
    if (messages.isEmpty()) {
      return stopped;
    }
    MessageId[] ids = messages.stream().map(HandoverMapper.Claimed::id).toArray(MessageId[]::new);
    for (HandoverMapper.Stay message : mapper.stays(ids)) {
      stop(message).ifPresent(stop -> stopped.put(message.id(), stop));
    }
    messages.stream()
        .filter(HandoverMapper.Claimed::comesAfter)
        .collect(Collectors.groupingBy(HandoverMapper.Claimed::causeId))
        .forEach((mailing, theirs) -> lookOnceMore(mailing, theirs, stopped));
    return stopped;
  }

  private void lookOnceMore(
      long mailing, List<HandoverMapper.Claimed> messages, Map<MessageId, Stop> stopped) {
    List<PersonId> people = messages.stream().map(HandoverMapper.Claimed::personId).toList();
    for (LastLook look : looks) {
      Map<PersonId, String> notTo = look.notTo(mailing, people);
      messages.stream()
          .filter(message -> notTo.containsKey(message.personId()))
          .forEach(
              message -> stopped.putIfAbsent(message.id(), Stop.of(notTo.get(message.personId()))));
    }
  }

  private static Optional<Stop> stop(HandoverMapper.Stay message) {
    Standing thread = Standing.strongest(message.thread().stream().map(Standing::valueOf).toList());
    if (message.asked()) {
      return Optional.empty();
    }
    Reach reach =
        Reach.by(
            message.channel(),
            new Reach.Facts(
                message.address(),
                message.askedNot(),
                message.leftTopic(),
                message.doNotWrite(),
                false,
                false));
    // What goes on follows nothing; whoever knows it is asked whether it stays.
    return (message.goesOn() ? Optional.<String>empty() : FollowUp.stoppedBy(thread))
        .map(Stop::of)
        .or(
            () ->
                reach == Reach.READY
                    ? Optional.empty()
                    : Optional.of(
                        new Stop(reach.words(), new Ways.Shut(message.channel(), reach))));
  }
}
