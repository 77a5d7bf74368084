package app.jemble.access;

import app.jemble.core.access.Asker;

/** Tells which colleague is asking. */
public interface WhoAsks {

  /** The colleague who is signed in; a problem when nobody is. */
  Asker asker();
}
