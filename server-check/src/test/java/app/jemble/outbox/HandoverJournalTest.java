package app.jemble.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageState;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.List;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** What a worker's journal tells after the worker is gone. */
public class HandoverJournalTest {

  private static final Instant SENT = Instant.parse("2027-03-24T09:00:00Z");

  private Path folder;

  @BeforeMethod
  public void folder() throws IOException {
    folder = Files.createTempDirectory("jemble-journal");
  }

  private HandoverJournal.Abandoned theOneLeft() throws IOException {
    List<HandoverJournal.Abandoned> left = HandoverJournal.abandoned(folder);
    assertThat(left).hasSize(1);
    return left.get(0);
  }

  @Test
  public void whatEndedIsToldAndWhatHadNotBegunWaits() throws IOException {
    HandoverJournal journal = HandoverJournal.begin(folder, "w1");
    journal.begun(message(7), 1);
    journal.ended(1, new Ended(message(7), 1, MessageState.SENT, "", null, SENT));
    journal.begun(message(8), 3);
    journal.ended(
        3, new Ended(message(8), 3, MessageState.REFUSED, "550 no\nsuch mailbox", null, null));
    journal.begun(message(9), 1);
    journal.letGo();

    HandoverJournal.Abandoned left = theOneLeft();
    assertThat(left.worker()).isEqualTo("w1");
    assertThat(left.fate(message(7), 1))
        .contains(new Ended(message(7), 1, MessageState.SENT, "", null, SENT));
    assertThat(left.fate(message(8), 3))
        .contains(
            new Ended(message(8), 3, MessageState.REFUSED, "550 no such mailbox", null, null));
    assertThat(left.fate(message(9), 1)).as("on the wire").isEmpty();
    assertThat(left.fate(message(10), 1))
        .contains(new Ended(message(10), 0, MessageState.WAITING, "", null, null));
    assertThat(left.fate(message(11), 2))
        .contains(new Ended(message(11), 1, MessageState.DEFERRED, "", null, null));
    assertThat(left.fate(message(8), 4))
        .as("an earlier attempt tells nothing of this one")
        .contains(new Ended(message(8), 3, MessageState.DEFERRED, "", null, null));
  }

  @Test
  public void whileItsWorkerLivesNobodyReadsIt() throws IOException {
    HandoverJournal journal = HandoverJournal.begin(folder, "w1");
    journal.begun(message(7), 1);
    assertThat(HandoverJournal.abandoned(folder)).isEmpty();
    journal.close();
    assertThat(HandoverJournal.abandoned(folder)).as("ended in order").isEmpty();
  }

  @Test
  public void whatIsNotedElsewhereIsForgotten() throws IOException {
    HandoverJournal journal = HandoverJournal.begin(folder, "w1");
    journal.begun(message(7), 1);
    journal.forget();
    journal.begun(message(8), 1);
    journal.letGo();
    assertThat(theOneLeft().lines()).hasSize(2).last().isEqualTo("begun 8 1");
  }

  @Test
  public void aLineThatAKillCutShortTellsNothing() throws IOException {
    HandoverJournal journal = HandoverJournal.begin(folder, "w1");
    journal.begun(message(7), 1);
    journal.letGo();
    Files.writeString(
        folder.resolve("w1.handovers"), "ended 7 1 1 sent - 18", StandardOpenOption.APPEND);
    assertThat(theOneLeft().fate(message(7), 1)).isEmpty();
  }

  @Test
  public void ofAnotherStartOfTheMachineItIsNotBelieved() throws IOException {
    Files.writeString(folder.resolve("w1.handovers"), "machine another-start\nbegun 7 1\n");
    assertThat(HandoverJournal.abandoned(folder)).isEmpty();
  }

  private static MessageId message(long number) {
    return new MessageId(number);
  }
}
