package app.jemble.storage;

import app.jemble.core.series.SeriesState;
import org.apache.ibatis.type.MappedTypes;

/** States of series by the names they are stored by. */
@MappedTypes(SeriesState.class)
public class SeriesStateHandler extends StoredNames<SeriesState> {

  public SeriesStateHandler() {
    super(SeriesState.values(), SeriesState::stored);
  }
}
