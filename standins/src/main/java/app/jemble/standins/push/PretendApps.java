package app.jemble.standins.push;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Duration;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Everyone who has the house's app, and what they do with its notices. An app comes to know the
 * house by the link that its person was given. Seeded by link: the same link is the same person's.
 */
public final class PretendApps implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(PretendApps.class);

  private final PushService service;
  private final Duration day;
  private final long seed;
  private final HttpClient http =
      HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();
  private final Map<String, Installed> apps = new ConcurrentHashMap<>();
  private final ScheduledThreadPoolExecutor clock = new ScheduledThreadPoolExecutor(1);

  /** An app and the link of its person. */
  private record Installed(PretendApp app, String link) {}

  public PretendApps(PushService service, Duration day, long seed) {
    this.service = service;
    this.day = day;
    this.seed = seed;
    clock.setExecuteExistingDelayedTasksAfterShutdownPolicy(false);
  }

  /** From now on they get what arrives. */
  public void listen() {
    service.tells(this::shows);
  }

  /**
   * Somebody opens their link on one of their devices.
   *
   * @param link as it stood in their mail
   * @param name what they call the device
   */
  public PretendApp install(String link, String name) throws IOException {
    byte[] of = (seed + " " + link + " " + name).getBytes(StandardCharsets.UTF_8);
    PretendApp app = new PretendApp(UUID.nameUUIDFromBytes(of).toString(), of);
    JsonObject house = JsonParser.parseString(get(base(link) + "/app/house")).getAsJsonObject();
    JsonObject keys = new JsonObject();
    keys.addProperty("p256dh", app.key());
    keys.addProperty("auth", app.secret());
    JsonObject device = new JsonObject();
    device.addProperty("endpoint", service.subscribe(app.device(), house.get("key").getAsString()));
    device.add("keys", keys);
    device.addProperty("name", name);
    apps.put(app.device(), new Installed(app, link));
    send(
        HttpRequest.newBuilder(URI.create(link + "/devices"))
            .PUT(BodyPublishers.ofString(device.toString())));
    return app;
  }

  /** Takes the app off a device, which its push service alone is told. */
  public void drop(PretendApp app) {
    service.forget(app.device());
  }

  /** The app itself says that it is taken off. */
  public void remove(PretendApp app) throws IOException {
    Installed installed = apps.get(app.device());
    String address = service.origin() + "/push/" + app.device();
    send(
        HttpRequest.newBuilder(
                URI.create(
                    installed.link()
                        + "/devices?endpoint="
                        + URLEncoder.encode(address, StandardCharsets.UTF_8)))
            .DELETE());
    service.forget(app.device());
  }

  /** Its person opens a notice. */
  public void open(PretendApp app, PretendApp.Shown notice) throws IOException {
    JsonObject opened = new JsonObject();
    opened.addProperty("message", notice.message());
    send(
        HttpRequest.newBuilder(URI.create(base(apps.get(app.device()).link()) + "/app/opened"))
            .POST(BodyPublishers.ofString(opened.toString())));
  }

  private void shows(PushService.Notice notice) {
    Installed installed = apps.get(notice.device());
    if (installed == null) {
      return;
    }
    PretendApp.Shown shown;
    try {
      shown = installed.app().read(notice.body());
    } catch (GeneralSecurityException cannot) {
      LOG.error("An app could not read what was sealed for it.", cannot);
      return;
    }
    Random mood =
        new Random(seed * 43 + notice.device().hashCode() * 47L + shown.text().hashCode());
    int does = mood.nextInt(100);
    Duration in =
        Duration.ofSeconds(3).plusMillis((long) (day.toMillis() * mood.nextDouble() * 0.2));
    if (does < 55) {
      later(in, () -> open(installed.app(), shown));
    }
    if (does < 20 && !shown.link().isEmpty()) {
      later(in.plusSeconds(2), () -> get(shown.link()));
    }
    if (does == 99) {
      later(in, () -> drop(installed.app()));
    }
  }

  private static String base(String link) {
    return link.substring(0, link.indexOf("/app/"));
  }

  private String get(String address) throws IOException {
    return send(HttpRequest.newBuilder(URI.create(address)).GET());
  }

  private String send(HttpRequest.Builder request) throws IOException {
    try {
      HttpResponse<String> answer =
          http.send(
              request
                  .timeout(Duration.ofSeconds(10))
                  .header("Content-Type", "application/json")
                  .build(),
              BodyHandlers.ofString());
      if (answer.statusCode() >= 400) {
        throw new IOException("the house says " + answer.statusCode() + ": " + answer.body());
      }
      return answer.body();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("stopped", e);
    }
  }

  /** Something somebody does later. */
  private interface Deed {
    void run() throws IOException;
  }

  private void later(Duration wait, Deed deed) {
    clock.schedule(
        () -> {
          try {
            deed.run();
          } catch (IOException | RuntimeException e) {
            LOG.warn("An app could not reach the house.", e);
          }
        },
        wait.toMillis(),
        TimeUnit.MILLISECONDS);
  }

  @Override
  public void close() {
    clock.shutdownNow();
  }
}
