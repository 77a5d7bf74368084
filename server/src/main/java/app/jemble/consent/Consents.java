package app.jemble.consent;

import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Which topics people are written to about, on which ways. Only they come back. */
@Service
public class Consents implements HangsOnPerson.Room, ForgetsPeople {

  private final ConsentMapper mapper;

  Consents(ConsentMapper mapper) {
    this.mapper = mapper;
  }

  /** Who is not written to on a channel: not about a topic, or about none. */
  public Set<PersonId> notOnWay(long topicId, Channel channel) {
    return Set.copyOf(mapper.notOnWay(topicId, channel));
  }

  /** Who asked not to be written to on a channel at all. */
  public Set<PersonId> closedOn(Channel channel) {
    return Set.copyOf(mapper.closedOn(channel));
  }

  /** Takes a person off a topic on one channel; once gone, again changes nothing. */
  public void leave(PersonId personId, long topicId, Channel channel, Instant at) {
    mapper.leave(personId, topicId, channel, at);
  }

  /** The topics a person has left on a channel. */
  public Set<Long> topicsLeft(PersonId personId, Channel channel) {
    return Set.copyOf(mapper.topicsLeft(personId, channel));
  }

  /** Puts a person back on a topic on one channel, as they asked themselves. */
  public void comeBack(PersonId personId, long topicId, Channel channel) {
    mapper.comeBack(personId, topicId, channel);
  }

  /** The channels that a person asked not to be written to on, whatever the topic. */
  public Set<Channel> closed(PersonId personId) {
    return Set.copyOf(mapper.closed(personId));
  }

  /**
   * A person asked not to be written to on a channel at all.
   *
   * @param how it was said, in words for people
   */
  public void close(PersonId personId, Channel channel, String how, Instant at) {
    mapper.close(personId, channel, at, how, null);
  }

  /** A person may be written to on a channel again. */
  public void reopen(PersonId personId, Channel channel) {
    mapper.reopen(personId, channel);
  }

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows(
            "TOPIC_ON_WAY",
            Sql.of("topic_left"),
            Sql.of("t.id"),
            Sql.of("k.topic_id = t.topic_id and k.channel = t.channel")),
        HangsOnPerson.rows(
            "WAY_CLOSED", Sql.of("way_closed"), Sql.of("t.id"), Sql.of("k.channel = t.channel")),
        // As it was noted when there was one way: a topic is moved back on all. It moves nothing,
        // since what the first has left has its like.
        HangsOnPerson.rows("TOPIC", Sql.of("topic_left"), Sql.of("t.topic_id"), Sql.of("true")));
  }

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of("delete from topic_left where %s", who.isTheirs(Sql.of("person_id"))),
        Sql.of("delete from way_closed where %s", who.isTheirs(Sql.of("person_id"))));
  }
}
