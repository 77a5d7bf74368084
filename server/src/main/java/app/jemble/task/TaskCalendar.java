package app.jemble.task;

import app.jemble.account.AccountService;
import app.jemble.pool.OnBehalf;
import app.jemble.settings.JembleSettings;
import app.jemble.workspace.WorkspaceService;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.Transparency;
import java.sql.Date;
import java.time.Clock;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A colleague's open tasks as a calendar (RFC 5545) under an address that nobody can guess, which
 * calendar programs fetch by themselves. Each is an event of a whole day that takes no time: few
 * programs show the to-dos of a calendar that they only read (common practice).
 */
@Service
class TaskCalendar {

  private final TaskMapper mapper;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final JembleSettings settings;
  private final Clock clock;

  TaskCalendar(
      TaskMapper mapper,
      AccountService accounts,
      WorkspaceService workspace,
      JembleSettings settings,
      Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.workspace = workspace;
    this.settings = settings;
    this.clock = clock;
  }

  /** The address of the asker's calendar; empty when there is none. */
  Optional<String> address() {
    return Optional.ofNullable(mapper.calendarKey(accounts.current().id())).map(this::address);
  }

  private String address(String key) {
    return settings.publicUrl() + "/calendar/" + key + ".ics";
  }

  /** Gives the asker's calendar a new address; the one before leads nowhere any more. */
  @Transactional
  String renew() {
    String key = workspace.newToken();
    mapper.setCalendarKey(accounts.current().id(), key);
    return address(key);
  }

  /** Takes the asker's calendar away. */
  @Transactional
  void remove() {
    mapper.removeCalendar(accounts.current().id());
  }

  /** The calendar of a key; empty when there is none. */
  Optional<String> calendar(String key) {
    Long owner = mapper.ownerOfCalendar(key);
    if (owner == null) {
      return Optional.empty();
    }
    ICalendar calendar = new ICalendar();
    calendar.setProductId("-//Jemble//Tasks//EN");
    calendar.setName("Tasks, " + workspace.current().name());
    OnBehalf.of(accounts.onlyPeopleOf(owner).orElse(null), () -> mapper.openOf(owner)).stream()
        .map(this::event)
        .forEach(calendar::addEvent);
    return Optional.of(Biweekly.write(calendar).go());
  }

  private VEvent event(TaskMapper.OpenTask task) {
    VEvent event = new VEvent();
    event.setUid("task-" + task.id() + "@" + workspace.current().returnDomain());
    event.setDateTimeStamp(java.util.Date.from(clock.instant()));
    event.setDateStart(Date.valueOf(task.dueOn()), false);
    String kind = task.kind().substring(0, 1).toUpperCase(Locale.ROOT) + task.kind().substring(1);
    event.setSummary(
        task.person() == null
            ? task.title()
            : String.format(Locale.ROOT, "%s: %s – %s", kind, task.person(), task.title()));
    event.setTransparency(Transparency.transparent());
    if (task.personId() != null) {
      event.setUrl(settings.publicUrl() + "/people/" + task.personId());
    }
    if (task.phone() != null) {
      event.setDescription(task.phone());
    }
    return event;
  }
}
