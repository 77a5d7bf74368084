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
    StandingWord.About.of(word.field())
        .ifPresent(
            about -> {
              switch (about) {
                case STATUS -> mapper.renameStatus(word.before(), word.after());
                case STAGE -> mapper.renameStage(word.before(), word.after());
                case TASK -> throw new IllegalArgumentException("Tasks are no people.");
              }
            });
  }
}
