package app.jemble.series;

import app.jemble.series.SeriesMapper.StoredParts;
import app.jemble.storage.RenamedWord;
import java.util.List;
import java.util.function.BiConsumer;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/** Filters of series and steps call a list by its name; when it is renamed, they follow. */
@Component
class SeriesFilters implements RenamedWord.Follower {

  private final SeriesMapper mapper;
  private final ObjectMapper json;

  SeriesFilters(SeriesMapper mapper, ObjectMapper json) {
    this.mapper = mapper;
    this.json = json;
  }

  @Override
  public void follow(RenamedWord word) {
    rename(word, mapper.entersAbout(word.field()), mapper::writeEnters);
    rename(word, mapper.endsAbout(word.field()), mapper::writeEnds);
    rename(word, mapper.meantAbout(word.field()), mapper::writeMeant);
  }

  private void rename(RenamedWord word, List<StoredParts> stored, BiConsumer<Long, String> write) {
    for (StoredParts one : stored) {
      String renamed = word.in(one.parts(), json);
      if (!renamed.equals(one.parts())) {
        write.accept(one.id(), renamed);
      }
    }
  }
}
