package app.jemble.standins;

import jakarta.mail.MessagingException;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Everyone outside the house who gets mail, and what they do with it, each at their time. */
final class PretendReaders implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(PretendReaders.class);

  /** People are never as quick as software, however squeezed their day is. */
  private static final Duration QUICKEST_PERSON = Duration.ofSeconds(7);

  private static final Duration SCAN = Duration.ofMillis(800);

  private final ScheduledThreadPoolExecutor clock = new ScheduledThreadPoolExecutor(4);
  private final Duration day;
  private final long seed;
  private final WebReader web = new WebReader();
  private final MailAnswers answers;

  PretendReaders(int smtpPort, Duration day, long seed) {
    this.day = day;
    this.seed = seed;
    this.answers = new MailAnswers(smtpPort);
    clock.setRemoveOnCancelPolicy(true);
    clock.setExecuteExistingDelayedTasksAfterShutdownPolicy(false);
  }

  /** One step of a reader. */
  private interface Step {
    void take() throws MessagingException, IOException, InterruptedException;
  }

  void receive(PostOffice.Delivered arrived) throws MessagingException {
    ReceivedMail mail = ReceivedMail.of(arrived);
    Profile profile = Profile.of(mail.reader(), mail.messageId(), seed);
    if (profile.mailbox() != Profile.Mailbox.WORKS) {
      later(Duration.ofSeconds(2), () -> answers.report(mail, profile.mailbox()));
      return;
    }
    if (profile.scanned()) {
      later(SCAN, () -> web.scan(mail));
    }
    if (mail.asksForOnePress()) {
      if (profile.confirms()) {
        later(QUICKEST_PERSON, () -> web.press(mail));
      }
      return;
    }
    if (profile.away()) {
      later(QUICKEST_PERSON, () -> answers.away(mail));
    }
    if (profile.opens()) {
      Duration open = QUICKEST_PERSON.plus(share(profile.openAfter()));
      later(open, () -> web.open(mail));
      Duration next = open.plus(share(0.01)).plusSeconds(2);
      if (profile.clicks()) {
        later(next, () -> web.follow(mail));
      }
      if (profile.replies()) {
        later(next.plus(share(0.02)).plusSeconds(3), () -> answers.reply(mail));
      }
      if (profile.leaves()) {
        later(next.plusSeconds(1), () -> web.leave(mail));
      }
    }
  }

  private Duration share(double ofADay) {
    return Duration.ofMillis((long) (day.toMillis() * ofADay));
  }

  private void later(Duration wait, Step step) {
    clock.schedule(
        () -> {
          try {
            step.take();
          } catch (MessagingException | IOException e) {
            LOG.info("A reader gave up: {}", e.toString());
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          } catch (RuntimeException e) {
            LOG.error("A reader fell over.", e);
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
