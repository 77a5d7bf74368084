package app.jemble.record;

import app.jemble.core.house.StandingWord;
import app.jemble.storage.RenamedWord;
import org.springframework.stereotype.Component;

/** Whoever has a status or a stage follows when it is renamed. */
@Component
class StandingOfPeople implements RenamedWord.Follower {

  private final PersonRowMapper mapper;

  StandingOfPeople(PersonRowMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public void follow(RenamedWord word) {
    if (word.isOf(StandingWord.About.STATUS)) {
      mapper.renameStatus(word.before(), word.after());
    }
    if (word.isOf(StandingWord.About.STAGE)) {
      mapper.renameStage(word.before(), word.after());
    }
  }
}
