package app.jemble.series;

import app.jemble.list.RenamedList;
import app.jemble.series.SeriesMapper.StoredParts;
import java.util.List;
import java.util.function.BiConsumer;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/** Filters of series and steps call a list by its name; when it is renamed, they follow. */
@Component
class SeriesFilters implements RenamedList.Follower {

  private final SeriesMapper mapper;
  private final ObjectMapper json;

  SeriesFilters(SeriesMapper mapper, ObjectMapper json) {
    this.mapper = mapper;
    this.json = json;
  }

  @Override
  public void follow(RenamedList list) {
    rename(list, mapper.entersAboutLists(), mapper::writeEnters);
    rename(list, mapper.endsAboutLists(), mapper::writeEnds);
    rename(list, mapper.meantAboutLists(), mapper::writeMeant);
  }

  private void rename(RenamedList list, List<StoredParts> stored, BiConsumer<Long, String> write) {
    for (StoredParts one : stored) {
      String renamed = list.in(one.parts(), json);
      if (!renamed.equals(one.parts())) {
        write.accept(one.id(), renamed);
      }
    }
  }
}
