package app.jemble.audience;

import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.core.record.PersonId;
import app.jemble.pool.OnBehalf;
import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.RenamedWord;
import app.jemble.storage.Sql;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import tools.jackson.databind.ObjectMapper;

/** The audiences of mailings, as they are stored. */
@Service
public class Audiences implements RenamedWord.Follower, HangsOnPerson.Room, ForgetsPeople {

  private final AudienceMapper mapper;
  private final CauseChanges causes;
  private final ObjectMapper json;

  Audiences(AudienceMapper mapper, CauseChanges causes, ObjectMapper json) {
    this.mapper = mapper;
    this.causes = causes;
    this.json = json;
  }

  /** Whom a cause is for; a rule picks its people as they come due, and writes about the same. */
  public Audience of(Cause cause) {
    if (cause.isRule()) {
      return stored(cause.followsId()).recordsAlone();
    }
    return stored(cause.id());
  }

  private Audience stored(long mailingId) {
    Audience stored =
        OnBehalf.owner().isPresent() ? mapper.findSeen(mailingId) : mapper.find(mailingId);
    return stored == null ? Audience.NOBODY : stored;
  }

  public void write(long mailingId, Audience audience) {
    mapper.write(mailingId, audience);
  }

  /** Leaves people of a draft out besides those who already are. */
  public void leaveOut(Cause draft, List<PersonId> people) {
    mapper.leaveOut(draft.id(), people.toArray(PersonId[]::new));
    causes.touch(List.of(draft.id()));
  }

  /** Whoever writes at a mailing meanwhile is told that it was changed elsewhere. */
  @Override
  public void follow(RenamedWord word) {
    List<Long> followed = new ArrayList<>();
    for (AudienceMapper.StoredParts stored : mapper.about(word.field())) {
      AudienceMapper.StoredParts renamed =
          new AudienceMapper.StoredParts(
              stored.mailingId(),
              word.in(stored.parts(), json),
              word.in(stored.leftOutParts(), json));
      if (!renamed.equals(stored)) {
        mapper.writeParts(renamed);
        followed.add(stored.mailingId());
      }
    }
    causes.touch(followed);
  }

  /** Who was picked or left out by hand goes along. */
  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.list("PICK", Sql.of("audience"), Sql.of("t.mailing_id"), Sql.of("picks")),
        HangsOnPerson.list(
            "LEFT_OUT", Sql.of("audience"), Sql.of("t.mailing_id"), Sql.of("left_out")));
  }

  @Override
  public void moved(List<Long> mailings) {
    causes.touch(mailings);
  }

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            """
            update audience set picks = %s, left_out = %s
            where %s or %s""",
            who.withoutThem(Sql.of("picks")),
            who.withoutThem(Sql.of("left_out")),
            who.areIn(Sql.of("picks")),
            who.areIn(Sql.of("left_out"))),
        Sql.of(
            """
            update audience set parts = %s::jsonb, left_out_parts = %s::jsonb
            where %s or %s""",
            who.without(Sql.of("parts::text")),
            who.without(Sql.of("left_out_parts::text")),
            who.isNamedIn(Sql.of("parts::text")),
            who.isNamedIn(Sql.of("left_out_parts::text"))));
  }
}
