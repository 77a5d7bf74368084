package app.jemble.message;

import app.jemble.cause.OpenCauses;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.message.NoticeLetter;
import app.jemble.core.message.Outgoing;
import app.jemble.core.message.PaperLetter;
import app.jemble.core.message.TextLetter;
import app.jemble.core.notice.Device;
import app.jemble.core.reach.Address;
import app.jemble.core.record.PersonId;
import app.jemble.departure.OutgoingTexts;
import app.jemble.device.Devices;
import app.jemble.workspace.WorkspaceService;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Service;

/**
 * The texts of released causes, held parsed while their messages leave. They do not change once a
 * message can leave; sender and house may, and are read anew after a moment.
 */
@Service
class ReleasedTexts implements OutgoingTexts {

  private static final int MOST_KEPT = 50;
  private static final Duration FRESH = Duration.ofSeconds(2);

  private final LetterService letters;
  private final FrozenValues frozen;
  private final OpenCauses causes;
  private final Devices devices;
  private final WorkspaceService workspace;

  private final Cache<Long, Letter> cache;

  ReleasedTexts(
      LetterService letters,
      FrozenValues frozen,
      OpenCauses causes,
      Devices devices,
      WorkspaceService workspace,
      Clock clock) {
    this.letters = letters;
    this.frozen = frozen;
    this.causes = causes;
    this.devices = devices;
    this.workspace = workspace;
    this.cache =
        Caffeine.newBuilder()
            .maximumSize(MOST_KEPT)
            .expireAfterWrite(FRESH)
            .ticker(() -> TimeUnit.MILLISECONDS.toNanos(clock.millis()))
            .build();
  }

  @Override
  public Writing begin(List<ToWrite> messages) {
    List<PersonId> people =
        messages.stream()
            .filter(message -> message.to() instanceof Address.Device)
            .map(ToWrite::personId)
            .toList();
    Map<PersonId, List<Device>> apps = people.isEmpty() ? Map.of() : devices.of(people);
    return (message, now) -> write(message, apps, now);
  }

  private Outgoing write(ToWrite message, Map<PersonId, List<Device>> apps, Instant now) {
    Letter letter = cache.get(message.causeId(), id -> letters.of(causes.anybodys(id)));
    FrozenValues.Thawed thawed = frozen.thaw(message.frozen());
    if (message.to() instanceof Address.Phone phone) {
      return letter
          .text(
              message.personId(),
              new TextLetter.Own(
                  phone, letter.values(thawed.values()), thawed.language(), message.token()))
          .message();
    }
    if (message.to() instanceof Address.Device app) {
      return letter
          .notice(
              message.personId(),
              new NoticeLetter.Own(
                  app, letter.values(thawed.values()), thawed.language(), message.token()))
          .message()
          .on(apps.getOrDefault(message.personId(), List.of()));
    }
    if (message.to() instanceof Address.Postal post) {
      return letter
          .paper(
              message.personId(),
              new PaperLetter.Own(
                  post,
                  message.recipient(),
                  letter.values(thawed.values()),
                  thawed.language(),
                  LocalDate.ofInstant(now, workspace.current().zoneId()),
                  message.token()))
          .message();
    }
    return MessageComposer.compose(
            letter.shared(
                message.personId(), letter.voices(thawed.ownerName(), thawed.ownerEmail())),
            new MessageComposer.Own(
                new Mailbox(message.recipient(), message.to().stored()),
                letter.values(thawed.values()),
                thawed.language(),
                now,
                message.token(),
                message.thread()))
        .message();
  }
}
