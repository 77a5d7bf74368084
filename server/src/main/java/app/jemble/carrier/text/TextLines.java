package app.jemble.carrier.text;

import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.Line;
import app.jemble.carrier.Lines;
import app.jemble.carrier.Parcel;
import app.jemble.carrier.UnreachableException;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;

/** The window of this process: so many texts can await their answer at once, all on one session. */
final class TextLines implements Lines {

  private final TextSession session;
  private final BlockingQueue<Line> free;

  TextLines(TextSession session, TextSettings settings) {
    this.session = session;
    this.free = new ArrayBlockingQueue<>(settings.window());
    for (int i = 0; i < settings.window(); i++) {
      free.add(new Place());
    }
  }

  /** A place in the window. */
  private final class Place implements Line {
    @Override
    public HandoverResult send(Parcel parcel, Parcel next, Runnable begin) {
      return session.submit(parcel, begin);
    }
  }

  @Override
  public Line take() {
    try {
      return free.take();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("stopped while waiting for the text service", e);
    }
  }

  @Override
  public void putBack(Line line) {
    free.add(line);
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
