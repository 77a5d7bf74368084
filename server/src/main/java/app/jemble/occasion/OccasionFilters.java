package app.jemble.occasion;

import app.jemble.storage.RenamedWord;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/** For whom days come round follows what has another name. */
@Component
class OccasionFilters implements RenamedWord.Follower {

  private final OccasionMapper mapper;
  private final ObjectMapper json;

  OccasionFilters(OccasionMapper mapper, ObjectMapper json) {
    this.mapper = mapper;
    this.json = json;
  }

  @Override
  public void follow(RenamedWord word) {
    for (OccasionMapper.StoredWhom stored : mapper.about(word.field())) {
      String renamed = word.in(stored.parts(), json);
      if (!renamed.equals(stored.parts())) {
        mapper.writeWhom(new OccasionMapper.StoredWhom(stored.id(), renamed));
      }
    }
  }
}
