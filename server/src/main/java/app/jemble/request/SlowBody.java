package app.jemble.request;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;

/**
 * A body that must come at some pace: whoever holds it back holds a thread of the house. What a
 * form says is read here too, since the web server would read it at any pace.
 */
final class SlowBody {

  /** The body came more slowly than any honest sender's. */
  static final class TooSlow extends IOException {
    private static final long serialVersionUID = 1L;
  }

  private static final long GRACE_NANOS = Duration.ofSeconds(10).toNanos();

  /** Octets a second after that; a telephone line does more. */
  private static final long PACE = 4_000;

  /** The leaving page asks for less. */
  private static final int MOST_FORM = 16_384;

  /**
   * What is left of a body that nobody read is taken when it is no more and keeps coming: whoever
   * sent a file that is too large is told so rather than cut off.
   */
  private static final long MOST_REST = 64L << 20;

  private static final long REST_NANOS = Duration.ofSeconds(5).toNanos();
  private static final long REST_PAUSE_NANOS = Duration.ofMillis(500).toNanos();
  private static final long LOOK_NANOS = Duration.ofMillis(10).toNanos();

  private final Watched watched;
  private final HttpServletRequest request;

  SlowBody(HttpServletRequest given) throws IOException {
    String type = given.getContentType();
    boolean form = type != null && type.startsWith("application/x-www-form-urlencoded");
    watched = new Watched(given);
    request = form ? new Form(watched) : watched;
  }

  /** The request with its body watched. */
  HttpServletRequest request() {
    return request;
  }

  /** Takes what has come and was not read; false when more is to come. */
  boolean takeRest() throws IOException {
    Paced in = (Paced) watched.getInputStream();
    long length = watched.getContentLengthLong();
    if (length < 0) {
      return in.isFinished();
    }
    long begun = System.nanoTime();
    long lastCame = begun;
    byte[] piece = new byte[8_192];
    while (!in.closed && in.read < length && length - in.read <= MOST_REST) {
      if (in.isFinished()) {
        return true;
      }
      if (System.nanoTime() - begun > REST_NANOS) {
        return false;
      }
      if (in.available() > 0 || ClosingValve.hasMore(watched)) {
        in.read(piece, 0, piece.length);
        lastCame = System.nanoTime();
      } else if (System.nanoTime() - lastCame > REST_PAUSE_NANOS) {
        return false;
      } else {
        LockSupport.parkNanos(LOOK_NANOS);
      }
    }
    return in.read >= length;
  }

  private static final class Watched extends HttpServletRequestWrapper {
    private ServletInputStream in;

    Watched(HttpServletRequest request) {
      super(request);
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      if (in == null) {
        in = new Paced(super.getInputStream());
      }
      return in;
    }

    @Override
    public BufferedReader getReader() throws IOException {
      return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
    }
  }

  private static final class Paced extends ServletInputStream {
    private final ServletInputStream in;
    private final long begun = System.nanoTime();
    private long read;

    /** Whoever read it was done with it, as when the sender had gone away. */
    private boolean closed;

    Paced(ServletInputStream in) {
      this.in = in;
    }

    private int counted(int count) throws TooSlow {
      read += Math.max(0, count);
      long allowed = GRACE_NANOS + read * (1_000_000_000L / PACE);
      if (System.nanoTime() - begun > allowed) {
        throw new TooSlow();
      }
      return count;
    }

    @Override
    public int read() throws IOException {
      int octet = in.read();
      counted(octet < 0 ? 0 : 1);
      return octet;
    }

    @Override
    public int read(byte[] to, int offset, int length) throws IOException {
      return counted(in.read(to, offset, length));
    }

    @Override
    public int available() throws IOException {
      return in.available();
    }

    @Override
    public void close() throws IOException {
      closed = true;
      in.close();
    }

    @Override
    public boolean isFinished() {
      return in.isFinished();
    }

    @Override
    public boolean isReady() {
      return in.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
      in.setReadListener(listener);
    }
  }

  /** What a form says, with what stands in the address. */
  private static final class Form extends HttpServletRequestWrapper {
    private final Map<String, String[]> all;

    Form(HttpServletRequest request) throws IOException {
      super(request);
      byte[] body = request.getInputStream().readNBytes(MOST_FORM + 1);
      Map<String, List<String>> said = new LinkedHashMap<>();
      String text = body.length > MOST_FORM ? "" : new String(body, StandardCharsets.ISO_8859_1);
      String query = request.getQueryString();
      for (String pair : ((query == null ? "" : query) + "&" + text).split("&")) {
        int equals = pair.indexOf('=');
        if (!pair.isEmpty()) {
          said.computeIfAbsent(
                  decoded(equals < 0 ? pair : pair.substring(0, equals)), n -> new ArrayList<>())
              .add(equals < 0 ? "" : decoded(pair.substring(equals + 1)));
        }
      }
      Map<String, String[]> arrays = new LinkedHashMap<>();
      said.forEach((name, values) -> arrays.put(name, values.toArray(String[]::new)));
      all = Collections.unmodifiableMap(arrays);
    }

    private static String decoded(String written) {
      try {
        return URLDecoder.decode(written, StandardCharsets.UTF_8).replace("\0", "");
      } catch (IllegalArgumentException broken) {
        return "";
      }
    }

    @Override
    public String getParameter(String name) {
      String[] values = all.get(name);
      return values == null ? null : values[0];
    }

    @Override
    public String[] getParameterValues(String name) {
      String[] values = all.get(name);
      return values == null ? null : values.clone();
    }

    @Override
    public Enumeration<String> getParameterNames() {
      return Collections.enumeration(all.keySet());
    }

    @Override
    public Map<String, String[]> getParameterMap() {
      return all;
    }
  }
}
