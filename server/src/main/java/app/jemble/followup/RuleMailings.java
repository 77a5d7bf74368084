package app.jemble.followup;

import app.jemble.audience.AudienceService;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.core.message.SafeHtml;
import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.NextOpen;
import app.jemble.core.pace.WeeklyHours;
import app.jemble.core.reach.Reach;
import app.jemble.mailing.Mailing;
import app.jemble.mailing.MailingChanges;
import app.jemble.mailing.OpenMailings;
import app.jemble.message.Letter;
import app.jemble.message.LetterService;
import app.jemble.message.MessageMaker;
import app.jemble.outbox.NewMessage;
import app.jemble.outbox.OutboxService;
import app.jemble.outbox.OutboxService.ThreadEnd;
import app.jemble.plan.PlanService;
import app.jemble.plan.SendPlan;
import app.jemble.problem.Problem;
import app.jemble.sending.HoursSpan;
import app.jemble.sending.SendingService;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Service;

/**
 * The messages that follow-up rules send: a mailing for each rule, written with it and released
 * with the one it follows, whose messages are put in the outbox one by one as they come due.
 */
@Service
public class RuleMailings {

  private static final int MOST_CHARACTERS = 1_000_000;

  /**
   * Somebody who is due.
   *
   * @param message theirs, at the end of whose thread the next is put
   * @param recordId what that is about; 0 for no record
   */
  public record Due(long message, long personId, long recordId) {}

  private final RuleMailingMapper mapper;
  private final MailingChanges mailings;
  private final OpenMailings open;
  private final AudienceService audience;
  private final LetterService letters;
  private final MessageMaker maker;
  private final PlanService plans;
  private final SendingService sending;
  private final OutboxService outbox;
  private final WorkspaceService workspace;
  private final Clock clock;

  RuleMailings(
      RuleMailingMapper mapper,
      MailingChanges mailings,
      OpenMailings open,
      AudienceService audience,
      LetterService letters,
      MessageMaker maker,
      PlanService plans,
      SendingService sending,
      OutboxService outbox,
      WorkspaceService workspace,
      Clock clock) {
    this.mapper = mapper;
    this.mailings = mailings;
    this.open = open;
    this.audience = audience;
    this.letters = letters;
    this.maker = maker;
    this.plans = plans;
    this.sending = sending;
    this.outbox = outbox;
    this.workspace = workspace;
    this.clock = clock;
  }

  /** Begins the mailing of a rule; answers its id. */
  public long add(long mailingId, String body) {
    return mapper.add(mailingId, sound(body), clock.instant());
  }

  /** Changes its text; those who have had it keep what they got. */
  public void write(long id, String body) {
    mapper.write(id, sound(body));
  }

  public String body(long id) {
    return open.anybodys(id).body();
  }

  /** What is wrong with its text, in sentences. */
  public List<String> errors(long id) {
    return letters.of(open.anybodys(id)).errors();
  }

  private static String sound(String body) {
    if (body == null || body.isBlank()) {
      throw Problem.wrong("body", "Write what is to be sent.");
    }
    if (body.length() > MOST_CHARACTERS) {
      throw Problem.wrong("body", "A text has at most a million characters.");
    }
    return SafeHtml.clean(body);
  }

  /** Lets its messages leave from now on, as those of the mailing it follows do. */
  public void release(long id, String name) {
    SendPlan of = plans.of(open.anybodys(open.anybodys(id).followsId()));
    SendPlan plan =
        new SendPlan(
            null, false, null, SendPlan.AT_ONCE.waveGapSeconds(), of.hours(), of.ownClock(), null);
    mapper.release(id, name, plans.write(plan), clock.instant());
  }

  public void takeBack(long id) {
    mailings.takeBack(id);
  }

  /** Nothing of it leaves any more; returns how many messages were in the outbox. */
  public int withdraw(long id) {
    int messages = outbox.withdrawRest(id);
    mailings.withdraw(id);
    return messages;
  }

  /** A mailing that has sent nothing is forgotten. */
  public void remove(long id) {
    mapper.remove(id);
  }

  /** When what is due to these people may leave; before the release by the plan it will have. */
  public MayLeave mayLeave(long id, List<Long> people) {
    Mailing mailing = open.anybodys(id);
    SendPlan plan =
        plans.of(mailing.hasBeenReleased() ? mailing : open.anybodys(mailing.followsId()));
    WeeklyHours hours = plan.hours() == null ? sending.hours() : HoursSpan.hours(plan.hours());
    NextOpen open = new NextOpen(hours, sending.daysOff());
    ZoneId house = workspace.current().zoneId();
    Map<Long, ZoneId> zones = new HashMap<>();
    if (plan.ownClock()) {
      audience
          .timeZones(people)
          .forEach((person, zone) -> zones.put(person, Clocks.zone(zone, house)));
    }
    return new MayLeave(open, house, zones);
  }

  /** Whether people can be written to; who is gone is not among them. */
  public Map<Long, Reach> reaches(long id, List<Long> people) {
    Mailing mailing = open.anybodys(id);
    AudienceService.Again again = audience.again(mailing, letters.of(mailing)::values);
    Map<Long, Reach> reaches = new HashMap<>();
    again.readers(people, people.stream().map(p -> 0L).toList()).stream()
        .filter(reader -> reader != null)
        .forEach(reader -> reaches.put(reader.person().id(), reader.reach()));
    return reaches;
  }

  /**
   * Puts messages in the outbox, each at the end of its thread. A message in which something would
   * be missing is not sent: nobody looks at it before it leaves.
   *
   * @return by message, why none was sent after it
   */
  public Map<Long, String> send(long id, List<Due> due) {
    Mailing mailing = open.anybodys(id);
    Letter letter = letters.of(mailing);
    Map<Long, ThreadEnd> ends = outbox.lastOfThreads(due.stream().map(Due::message).toList());
    List<Reader> readers =
        audience
            .again(mailing, letter::values)
            .readers(
                due.stream().map(Due::personId).toList(), due.stream().map(Due::recordId).toList());
    List<NewMessage> messages = new ArrayList<>();
    Map<Long, String> not = new HashMap<>();
    String returnDomain = workspace.current().returnDomain();
    for (int i = 0; i < due.size(); i++) {
      long message = due.get(i).message();
      Reader reader = readers.get(i);
      ThreadEnd end = ends.get(message);
      if (reader == null || end == null) {
        not.put(message, "is no longer on record");
        continue;
      }
      List<String> missing = missing(letter, reader);
      if (missing.isEmpty()) {
        messages.add(maker.make(letter, reader, end, returnDomain, clock.instant()));
      } else {
        not.put(message, "has no " + String.join(", no ", missing));
      }
    }
    outbox.enqueue(id, messages);
    return not;
  }

  private List<String> missing(Letter letter, Reader reader) {
    return letter.compose(reader.person(), reader.values(), clock.instant()).missing().stream()
        .map(field -> workspace.fields().find(field).map(f -> f.label()).orElse(field))
        .map(label -> label.toLowerCase(Locale.ROOT))
        .distinct()
        .toList();
  }
}
