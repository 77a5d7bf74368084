package app.jemble.result;

import app.jemble.account.AccountService;
import app.jemble.cause.OpenCauses;
import app.jemble.core.reach.Channel;
import app.jemble.core.response.Course;
import app.jemble.core.response.Interval;
import app.jemble.core.response.Standing;
import app.jemble.result.ResultMapper.ExportRow;
import app.jemble.result.ResultMapper.GroupCounts;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What came of a mailing: over time, link by link, group by group, beside earlier ones. */
@Service
class ResultService {

  /** What messages are grouped by. */
  enum By {
    PLAN,
    TAG,
    OWNER,
    ZONE,
    WAY
  }

  /** How many had given each sign by the end of an hour or a day of the workspace's clock. */
  @Schema(name = "CoursePoint")
  record Point(LocalDateTime at, long read, long clicked, long replied) {}

  /**
   * What came in over time.
   *
   * @param step how far its points are apart
   */
  @Schema(name = "ResponseCourse")
  record CourseView(Course.Step step, List<Point> points) {}

  /** A share of the delivered, 0 to 1, as are both ends of its 95% interval. */
  @Schema(name = "Share")
  record Share(double share, double low, double high) {

    /** Null when nothing was delivered. */
    static Share of(long count, long delivered) {
      if (delivered == 0) {
        return null;
      }
      Interval interval = Interval.of(count, delivered);
      return new Share((double) count / delivered, interval.low(), interval.high());
    }
  }

  /**
   * What came of the messages to the people of one group.
   *
   * @param value what the group has in common; empty for those who have nothing of the kind
   */
  @Schema(name = "GroupResult")
  record Group(
      String value,
      String label,
      long sent,
      long delivered,
      long read,
      long replied,
      @Schema(nullable = true) Share readShare,
      @Schema(nullable = true) Share repliedShare) {}

  /** A mailing beside others. */
  @Schema(name = "EarlierResult")
  record Earlier(
      long id,
      String name,
      Instant sentAt,
      long delivered,
      @Schema(nullable = true) Share readShare,
      @Schema(nullable = true) Share repliedShare) {}

  private final ResultMapper mapper;
  private final OpenCauses mailings;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  ResultService(
      ResultMapper mapper,
      OpenCauses mailings,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.mailings = mailings;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  CourseView course(long mailing) {
    mailings.find(mailing);
    ZoneId zone = workspace.current().zoneId();
    ResultMapper.Span span = mapper.span(mailing);
    if (span == null || span.first() == null) {
      return new CourseView(Course.Step.HOURS, List.of());
    }
    Course.Step step = Course.step(span.first(), span.last());
    List<Point> points = new ArrayList<>();
    long read = 0;
    long clicked = 0;
    long replied = 0;
    var signs = mapper.course(mailing, step, zone.getId()).iterator();
    ResultMapper.FirstSigns next = signs.hasNext() ? signs.next() : null;
    for (LocalDateTime at : Course.steps(span.first(), span.last(), step, zone)) {
      while (next != null && !next.at().isAfter(at)) {
        read += next.read();
        clicked += next.clicked();
        replied += next.replied();
        next = signs.hasNext() ? signs.next() : null;
      }
      points.add(new Point(at, read, clicked, replied));
    }
    return new CourseView(step, points);
  }

  List<ResultMapper.LinkResult> links(long mailing) {
    mailings.find(mailing);
    return mapper.links(mailing);
  }

  List<Group> groups(long mailing, By by) {
    mailings.find(mailing);
    List<GroupCounts> counts =
        switch (by) {
          case PLAN -> mapper.byPlan(mailing);
          case TAG -> mapper.byTag(mailing);
          case OWNER -> mapper.byOwner(mailing);
          case ZONE -> mapper.byZone(mailing);
          case WAY -> mapper.byWay(mailing).stream().map(ResultService::named).toList();
        };
    return counts.stream().map(ResultService::group).toList();
  }

  /** A way as people read it. */
  private static GroupCounts named(GroupCounts way) {
    return new GroupCounts(
        way.value(),
        Channel.valueOf(way.value()).words(),
        way.sent(),
        way.returned(),
        way.read(),
        way.replied());
  }

  private static Group group(GroupCounts c) {
    long delivered = c.sent() - c.returned();
    return new Group(
        c.value(),
        c.label(),
        c.sent(),
        delivered,
        c.read(),
        c.replied(),
        Share.of(c.read(), delivered),
        Share.of(c.replied(), delivered));
  }

  /**
   * Up to ten mailings about the same topic that left before, the latest first, each as it stood
   * when it was as old as this one is.
   */
  List<Earlier> earlier(long mailing) {
    mailings.find(mailing);
    ResultMapper.Span span = mapper.span(mailing);
    if (span == null || span.first() == null) {
      return List.of();
    }
    double age = Duration.between(span.first(), clock.instant()).toMillis() / 1000.0;
    return mapper.earlier(mailing, accounts.current().id(), age).stream()
        .map(
            e -> {
              long delivered = e.sent() - e.returned();
              return new Earlier(
                  e.id(),
                  e.name(),
                  e.sentAt(),
                  delivered,
                  Share.of(e.read(), delivered),
                  Share.of(e.replied(), delivered));
            })
        .toList();
  }

  static final List<String> EXPORT_HEAD =
      List.of(
          "Name",
          "Address",
          "State",
          "Stands",
          "Sent",
          "Read",
          "Link followed",
          "Replied",
          "Left",
          "Returned",
          "Why returned");

  /** Gives the cells of each message to a taker, one after another; times are ISO 8601, UTC. */
  @Transactional(readOnly = true)
  public void export(long mailing, Consumer<List<String>> taker) {
    mapper.export(mailing, context -> taker.accept(cells(context.getResultObject())));
  }

  private static List<String> cells(ExportRow row) {
    return List.of(
        row.name(),
        row.address(),
        row.state().replace('_', ' ').toLowerCase(Locale.ROOT),
        row.state().equals("sent") ? Standing.valueOf(row.standing()).words() : "",
        time(row.sentAt()),
        time(row.readAt()),
        time(row.clickedAt()),
        time(row.repliedAt()),
        time(row.leftAt()),
        time(row.returnedAt()),
        row.returnedWhy() == null ? "" : row.returnedWhy());
  }

  private static String time(Instant instant) {
    return instant == null ? "" : instant.truncatedTo(ChronoUnit.SECONDS).toString();
  }
}
