package app.jemble.carrier.text;

import app.jemble.carrier.FreeLines;
import app.jemble.carrier.Line;
import app.jemble.carrier.Lines;
import app.jemble.carrier.UnreachableException;
import app.jemble.settings.TextSettings;

/** The window of this process: so many texts can await their answer at once, all on one session. */
final class TextLines implements Lines {

  private final TextSession session;
  private final FreeLines free;

  TextLines(TextSession session, TextSettings settings) {
    this.session = session;
    this.free =
        new FreeLines(settings.window(), (parcel, next, begin) -> session.submit(parcel, begin));
  }

  @Override
  public Line take() {
    return free.take();
  }

  @Override
  public void putBack(Line line) {
    free.putBack(line);
  }

  @Override
  public void open() throws UnreachableException {
    session.open();
  }

  @Override
  public boolean isOpen() {
    return session.isOpen();
  }

  @Override
  public void closeUnused() {
    // The session stays: receipts and answers come by it.
  }

  @Override
  public void close() {
    session.close();
  }
}
