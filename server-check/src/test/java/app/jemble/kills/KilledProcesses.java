package app.jemble.kills;

import app.jemble.JembleApplication;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Processes of the application on one database, killed (SIGKILL) and started anew. For several
 * threads: who asks while one is killed waits until there is another in its place.
 */
public final class KilledProcesses implements AutoCloseable {

  private final List<String> settings;
  private final File log;
  private final Process[] processes;
  private final int[] ports;

  /**
   * Starts them.
   *
   * @param settings what all of them are started with, as {@code --name=value}
   * @param log where all of them write what they have to say
   */
  public KilledProcesses(int count, List<String> settings, Path log) {
    this.settings = List.copyOf(settings);
    this.log = log.toFile();
    this.processes = new Process[count];
    this.ports = new int[count];
    for (int i = 0; i < count; i++) {
      start(i);
    }
  }

  public int count() {
    return processes.length;
  }

  /** Where one of them answers, once it has started. */
  public synchronized String address(int which) {
    return "http://127.0.0.1:" + ports[which];
  }

  /** Kills one, and starts another in its place. */
  public synchronized void kill(int which) {
    processes[which].destroyForcibly().onExit().join();
    start(which);
  }

  /** As whatever supervises them would: one that starts while the database recovers gives up. */
  public synchronized void restartThoseThatEnded() {
    for (int i = 0; i < processes.length; i++) {
      if (!processes[i].isAlive()) {
        start(i);
      }
    }
  }

  private void start(int which) {
    ports[which] = freePort();
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    // It lives for seconds: a quick start is worth more than fast code.
    command.addAll(List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xmx384m", "-cp"));
    command.add(
        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")));
    command.add(JembleApplication.class.getName());
    command.add("--server.port=" + ports[which]);
    command.add("--management.server.port=-1");
    command.addAll(settings);
    try {
      processes[which] =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.appendTo(log))
              .start();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static int freePort() {
    try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return socket.getLocalPort();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public synchronized void close() {
    for (Process process : processes) {
      process.destroyForcibly();
    }
  }
}
