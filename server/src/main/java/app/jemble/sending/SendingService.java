package app.jemble.sending;

import app.jemble.core.pace.CapToday;
import app.jemble.core.pace.DailyCap;
import app.jemble.core.pace.WeeklyHours;
import app.jemble.core.reach.Channel;
import app.jemble.problem.Problem;
import app.jemble.sending.SendingMapper.ColleagueCap;
import app.jemble.sending.SendingMapper.HouseRow;
import app.jemble.sending.SendingMapper.WayCap;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.ObjectMapper;

/** When the workspace lets messages leave, and how many a day. */
@Service
public class SendingService {

  /** The most that can be set as a cap. */
  private static final int MOST = 10_000_000;

  private static final int MOST_SPACING_DAYS = 90;

  /**
   * What is set for all mailings.
   *
   * @param hours null for any time
   * @param dailyCap messages a day, all mailings together; null for no limit
   * @param wayCaps what may leave by each way a day
   * @param mostPerMailing to how many people one mailing may be released; null for no limit
   * @param spacingDays how many days people should be left alone between two mailings
   */
  record House(
      List<HoursSpan> hours,
      Integer dailyCap,
      List<WayCap> wayCaps,
      Integer mostPerMailing,
      int spacingDays) {}

  /** Messages that other mailings hold, by day of the workspace. */
  public record Taken(
      Map<LocalDate, Long> bySender,
      Map<Channel, Map<LocalDate, Long>> bySenderAndWay,
      Map<LocalDate, Long> byAll,
      Map<Channel, Map<LocalDate, Long>> byWay) {}

  private final SendingMapper mapper;
  private final WorkspaceService workspace;
  private final ObjectMapper json;
  private final Clock clock;

  SendingService(SendingMapper mapper, WorkspaceService workspace, ObjectMapper json, Clock clock) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.json = json;
    this.clock = clock;
  }

  /** The hours of mailings that have none of their own. */
  public WeeklyHours hours() {
    List<HoursSpan> spans = house().hours();
    return spans == null ? WeeklyHours.ANY : HoursSpan.hours(spans);
  }

  public Set<LocalDate> daysOff() {
    return mapper.daysOff().stream().map(DayOff::day).collect(Collectors.toSet());
  }

  /** How many days people should be left alone between two mailings. */
  public int spacingDays() {
    return mapper.house().spacingDays();
  }

  /** To how many people one mailing may be released; null for any number. */
  public Integer mostPerMailing() {
    return mapper.house().mostPerMailing();
  }

  /** The caps that bind what a colleague sends, the colleague's own first. */
  public List<DailyCap> caps(long account, String name, Taken taken) {
    List<DailyCap> caps = new ArrayList<>();
    Integer own = mapper.capOf(account);
    if (own != null) {
      caps.add(new DailyCap(name, own, taken.bySender()));
    }
    for (SendingMapper.RoleWayCap cap : mapper.roleWayCaps(account)) {
      Channel way = cap.channel();
      caps.add(
          new DailyCap(
              byWay(cap), way, cap.most(), taken.bySenderAndWay().getOrDefault(way, Map.of())));
    }
    HouseRow house = mapper.house();
    if (house.dailyCap() != null) {
      caps.add(new DailyCap("the workspace", house.dailyCap(), taken.byAll()));
    }
    for (WayCap cap : mapper.wayCaps()) {
      Channel way = cap.channel();
      caps.add(
          new DailyCap(way.carrier(), way, cap.most(), taken.byWay().getOrDefault(way, Map.of())));
    }
    return caps;
  }

  /** All caps there are. */
  public List<CapToday> capsToday() {
    List<CapToday> caps = new ArrayList<>();
    HouseRow house = mapper.house();
    if (house.dailyCap() != null) {
      caps.add(new CapToday(-1, 0, null, "the workspace", house.dailyCap()));
    }
    for (WayCap cap : mapper.wayCaps()) {
      Channel way = cap.channel();
      caps.add(new CapToday(-2 - way.ordinal(), 0, way, way.carrier(), cap.most()));
    }
    mapper
        .capsOfAll()
        .forEach(c -> caps.add(new CapToday(c.id(), c.id(), null, c.name(), c.most())));
    for (SendingMapper.RoleWayCap cap : mapper.roleWayCaps(null)) {
      caps.add(new CapToday(id(cap), cap.id(), cap.channel(), byWay(cap), cap.most()));
    }
    return caps;
  }

  /** Of a colleague and a way; no other cap has it. */
  private static long id(SendingMapper.RoleWayCap cap) {
    int ways = Channel.values().length;
    return -2 - ways - (cap.id() * ways + cap.channel().ordinal());
  }

  private static String byWay(SendingMapper.RoleWayCap cap) {
    return cap.name() + " " + cap.channel().onIt();
  }

  /** Messages a day of all mailings together; null for no limit. */
  public Integer dailyCap() {
    return house().dailyCap();
  }

  House house() {
    HouseRow row = mapper.house();
    List<HoursSpan> hours =
        row.hours() == null ? null : json.readValue(row.hours(), new TypeReference<>() {});
    return new House(
        hours, row.dailyCap(), mapper.wayCaps(), row.mostPerMailing(), row.spacingDays());
  }

  List<ColleagueCap> colleagueCaps() {
    return mapper.colleagueCaps();
  }

  List<DayOff> daysOffNamed() {
    return mapper.daysOff();
  }

  @Transactional
  void change(House house, List<ColleagueCap> colleagues) {
    workspace.current();
    if (house.hours() != null) {
      HoursSpan.hours(house.hours());
      if (house.hours().isEmpty()) {
        throw Problem.wrong("hours", "Leave at least one hour of the week open.");
      }
    }
    if (house.mostPerMailing() != null
        && (house.mostPerMailing() < 1 || house.mostPerMailing() > MOST)) {
      throw Problem.wrong(
          "mostPerMailing", "One mailing may go to 1 to 10,000,000 people, or leave it empty.");
    }
    if (house.spacingDays() < 0 || house.spacingDays() > MOST_SPACING_DAYS) {
      throw Problem.wrong("spacingDays", "People can be left alone for 0 to 90 days.");
    }
    Stream.of(
            Stream.of(house.dailyCap()),
            house.wayCaps().stream().map(WayCap::most),
            colleagues.stream().map(ColleagueCap::most))
        .flatMap(caps -> caps)
        .filter(cap -> cap != null && (cap < 0 || cap > MOST))
        .findAny()
        .ifPresent(
            cap -> {
              throw Problem.wrong("cap", "A cap is a number from 0 to 10,000,000, or empty.");
            });
    if (house.wayCaps().stream().map(WayCap::channel).distinct().count() < house.wayCaps().size()) {
      throw Problem.wrong("ways", "Each way once: one of them has two caps.");
    }
    String hours = house.hours() == null ? null : json.writeValueAsString(house.hours());
    mapper.changeHouse(
        new HouseRow(hours, house.dailyCap(), house.mostPerMailing(), house.spacingDays()));
    mapper.forgetWayCaps();
    house.wayCaps().forEach(mapper::addWayCap);
    for (ColleagueCap colleague : colleagues) {
      if (colleague.most() == null) {
        mapper.uncapColleague(colleague.id());
      } else {
        mapper.capColleague(colleague.id(), colleague.most());
      }
    }
  }

  /** Takes the place of all days off. */
  @Transactional
  List<DayOff> setDaysOff(List<DayOff> days) {
    Set<LocalDate> seen = new TreeSet<>();
    for (DayOff day : days) {
      if (day.day() == null || day.name() == null || day.name().isBlank()) {
        throw Problem.wrong("daysOff", "A day off has a date and a name.");
      }
      if (!seen.add(day.day())) {
        throw Problem.wrong("daysOff", day.day() + " stands there twice.");
      }
    }
    mapper.forgetDaysOff();
    days.forEach(mapper::addDayOff);
    return mapper.daysOff();
  }

  /** Adds the days of a calendar file to those there are; returns the days it holds. */
  @Transactional
  List<DayOff> importDaysOff(String file) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), workspace.current().zoneId());
    List<DayOff> days = DaysOffFile.read(file, today);
    days.forEach(mapper::addDayOff);
    return days;
  }
}
