package app.jemble.storage;

import app.jemble.core.message.CauseState;
import org.apache.ibatis.type.MappedTypes;

/** The state of a cause by its stored name. */
@MappedTypes(CauseState.class)
public class CauseStateHandler extends StoredNames<CauseState> {

  public CauseStateHandler() {
    super(CauseState.values(), CauseState::stored);
  }
}
