package app.jemble.access;

import app.jemble.core.access.Asker;
import java.util.List;
import java.util.Optional;

/** Tells which colleague is asking. */
public interface WhoAsks {

  /** The colleague who is signed in; a problem when nobody is. */
  Asker asker();

  /** Who can change what a colleague may, by name. */
  List<String> whomToAsk();

  /** What the colleague who asks must do before anything else, as a sentence; empty for nothing. */
  Optional<String> owes();
}
