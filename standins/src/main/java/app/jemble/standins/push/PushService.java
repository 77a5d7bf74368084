package app.jemble.standins.push;

import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.File;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import org.apache.catalina.LifecycleException;
import org.apache.catalina.connector.Connector;
import org.apache.catalina.core.StandardContext;
import org.apache.catalina.startup.Tomcat;
import org.apache.coyote.http2.Http2Protocol;

/**
 * A push service on loopback (RFC 8030), over HTTP/2 without TLS for those who ask for it. It takes
 * notices for devices that subscribed, from the house that they let in.
 */
public final class PushService implements AutoCloseable {

  /** RFC 8030, section 7.2. */
  private static final int MOST_OCTETS = 4096;

  private static final String NAME = "push";

  private final Tomcat tomcat = new Tomcat();
  private final Map<String, String> subscriptions = new ConcurrentHashMap<>();
  private final Set<String> gone = ConcurrentHashMap.newKeySet();
  private final AtomicLong asked = new AtomicLong();
  private final AtomicInteger handedIn = new AtomicInteger();
  private final AtomicInteger keptSilent = new AtomicInteger();
  private volatile int silentEvery;
  private volatile Duration silence = Duration.ZERO;
  private volatile long refusesEvery;
  private volatile int retrySeconds;
  private volatile Consumer<Notice> taken = notice -> {};

  /**
   * A notice that was taken.
   *
   * @param device by the end of its address
   * @param body sealed, as it came
   * @param topic the like of which it replaces
   */
  public record Notice(String device, byte[] body, String topic) {}

  /**
   * Opens for business.
   *
   * @param port 0 takes a free one
   */
  public PushService(int port) {
    tomcat.setBaseDir(new File(System.getProperty("java.io.tmpdir"), "jemble-push").getPath());
    Connector connector = new Connector();
    connector.setPort(port);
    connector.setProperty("address", "127.0.0.1");
    connector.setProperty("maxThreads", "64");
    connector.addUpgradeProtocol(new Http2Protocol());
    tomcat.setConnector(connector);
    StandardContext context = (StandardContext) tomcat.addContext("", null);
    // It has no classes of its own that could be kept alive.
    context.setClearReferencesRmiTargets(false);
    context.setClearReferencesThreadLocals(false);
    context.addServletContainerInitializer(
        (classes, servlets) -> servlets.addServlet(NAME, new Counter()).addMapping("/*"), Set.of());
    try {
      tomcat.start();
    } catch (LifecycleException e) {
      throw new IllegalStateException("the push service cannot be opened", e);
    }
  }

  public int port() {
    return tomcat.getConnector().getLocalPort();
  }

  /** Scheme, host and port. */
  public String origin() {
    return "http://127.0.0.1:" + port();
  }

  /**
   * Lets a house write to a device.
   *
   * @param device its name
   * @param houseKey the public key of the house, base64url; nobody else may write
   * @return the device's address
   */
  public String subscribe(String device, String houseKey) {
    subscriptions.put(device, houseKey);
    gone.remove(device);
    return origin() + "/" + NAME + "/" + device;
  }

  /** The app is taken off a device: its address is no more. */
  public void forget(String device) {
    gone.add(device);
  }

  /** Asks for patience at every so manieth notice; 0 never does. */
  public void refuseEvery(long every, int retryAfterSeconds) {
    refusesEvery = every;
    retrySeconds = retryAfterSeconds;
  }

  /**
   * Gives every so manieth notice no answer for a while, in turn without and with taking it; 0
   * never does.
   */
  public void keepSilentEvery(int every, Duration forSoLong) {
    silence = forSoLong;
    silentEvery = every;
  }

  /** How often it gave no answer. */
  public int keptSilent() {
    return keptSilent.get();
  }

  /** Who is given what is taken. */
  public void tells(Consumer<Notice> listener) {
    taken = listener;
  }

  @Override
  public void close() {
    try {
      tomcat.stop();
      tomcat.destroy();
    } catch (LifecycleException e) {
      throw new IllegalStateException("the push service does not close", e);
    }
  }

  /** Where notices are handed in. */
  private final class Counter extends HttpServlet {

    private static final long serialVersionUID = 1;

    @Override
    protected void doGet(HttpServletRequest request, HttpServletResponse response) {
      response.setStatus(HttpServletResponse.SC_NOT_FOUND);
    }

    @Override
    protected void doPost(HttpServletRequest request, HttpServletResponse response)
        throws IOException {
      byte[] body = request.getInputStream().readNBytes(MOST_OCTETS + 1);
      String path = request.getRequestURI();
      String device = path.substring(path.lastIndexOf('/') + 1);
      Optional<Integer> refusal = refusal(request, device, body);
      if (refusal.isPresent()) {
        if (refusal.get() == 429) {
          response.setHeader("Retry-After", Integer.toString(retrySeconds));
        }
        response.setStatus(refusal.get());
        return;
      }
      Notice notice = new Notice(device, body, request.getHeader("Topic"));
      int every = silentEvery;
      if (every > 0 && handedIn.incrementAndGet() % every == 0) {
        keepSilent(notice);
        return;
      }
      response.setHeader("Location", origin() + "/message/" + asked.get());
      response.setStatus(HttpServletResponse.SC_CREATED);
      taken.accept(notice);
    }

    /** The answer comes when nobody waits for it any more. */
    private void keepSilent(Notice notice) {
      if (keptSilent.incrementAndGet() % 2 == 0) {
        taken.accept(notice);
      }
      LockSupport.parkNanos(silence.toNanos());
    }

    private Optional<Integer> refusal(HttpServletRequest request, String device, byte[] body) {
      String houseKey = subscriptions.get(device);
      if (houseKey == null) {
        return Optional.of(HttpServletResponse.SC_NOT_FOUND);
      }
      if (gone.contains(device)) {
        return Optional.of(HttpServletResponse.SC_GONE);
      }
      long every = refusesEvery;
      if (every > 0 && asked.incrementAndGet() % every == 0) {
        return Optional.of(429);
      }
      if (request.getHeader("TTL") == null
          || !"aes128gcm".equals(request.getHeader("Content-Encoding"))) {
        return Optional.of(HttpServletResponse.SC_BAD_REQUEST);
      }
      if (body.length > MOST_OCTETS) {
        return Optional.of(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
      }
      return HousePass.isGood(request.getHeader("Authorization"), origin(), houseKey)
          ? Optional.empty()
          : Optional.of(HttpServletResponse.SC_FORBIDDEN);
    }
  }
}
