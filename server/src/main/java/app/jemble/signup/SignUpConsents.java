package app.jemble.signup;

import app.jemble.consent.Consents;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.series.OpenSeries;
import app.jemble.workspace.WorkspaceService;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/** What people who sign up hear about and by which ways, and what they do not. */
@Component
class SignUpConsents {

  /** Ways on which somebody who is new could be written to. */
  private static final List<Channel> WAYS = List.of(Channel.EMAIL, Channel.TEXT, Channel.APP);

  private final Consents consents;
  private final OpenSeries series;
  private final WorkspaceService workspace;
  private final ObjectMapper mapper;

  SignUpConsents(
      Consents consents, OpenSeries series, WorkspaceService workspace, ObjectMapper mapper) {
    this.consents = consents;
    this.series = series;
    this.workspace = workspace;
    this.mapper = mapper;
  }

  /**
   * What they asked to hear about: what they ticked, and that of the series of the page; on a page
   * without either, whatever the house writes about.
   */
  Set<Long> of(SignUpPage page, SignUp signUp) {
    Set<Long> topics = new HashSet<>(List.of(mapper.readValue(signUp.topics(), Long[].class)));
    if (page.body().series() != null) {
      topics.add(series.anybodys(page.body().series()).topicId());
    } else if (page.body().topics().isEmpty()) {
      workspace.topics().forEach(topic -> topics.add(topic.id()));
    }
    return topics;
  }

  /**
   * Of the ways that the page offered. What somebody did not tick is no wish of those who were on
   * record before; who is new is not reached there.
   *
   * @param known whether they were on record before
   */
  void ways(SignUpPage page, SignUp signUp, PersonId person, boolean known, Instant now) {
    Set<Channel> ticked = Set.of(mapper.readValue(signUp.ways(), Channel[].class));
    for (Channel way : page.body().ways()) {
      if (ticked.contains(way)) {
        consents.reopen(person, way);
      } else if (!known) {
        consents.close(person, way, "not ticked at “" + page.body().name() + "”", now);
      }
    }
  }

  /** Who is new hears about nothing else, on no way. */
  void leaveOthers(PersonId person, Set<Long> topics, Instant now) {
    workspace.topics().stream()
        .map(WorkspaceService.Topic::id)
        .filter(topic -> !topics.contains(topic))
        .forEach(topic -> WAYS.forEach(way -> consents.leave(person, topic, way, now)));
  }

  /** Whoever was known hears about these by mail again, which they confirmed by. */
  void comeBack(PersonId person, Set<Long> topics) {
    topics.forEach(topic -> consents.comeBack(person, topic, Channel.EMAIL));
  }
}
