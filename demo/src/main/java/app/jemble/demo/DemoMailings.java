package app.jemble.demo;

import static app.jemble.core.response.ResponseKind.RETURNED_HARD;
import static app.jemble.core.response.ResponseKind.RETURNED_SOFT;
import static app.jemble.demo.DemoWords.any;

import app.jemble.carrier.mail.MailCarrier;
import app.jemble.core.message.OutgoingMessage;
import app.jemble.core.message.PublicToken;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Address;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.response.Standing;
import app.jemble.departure.OutgoingTexts;
import app.jemble.outbox.NewMessage;
import app.jemble.storage.CopyIn;
import app.jemble.workspace.WorkspaceService;
import java.security.SecureRandom;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.node.ObjectNode;

/** Ninety days of mailings that have left, and what came back. */
@Component
class DemoMailings {

  /** Somebody a past mailing went to. */
  record Reader(long id, String name, String firstName, String plan, String email) {}

  /** A past mailing. */
  record Past(long id, Instant sentFrom) {}

  /**
   * A message of the past.
   *
   * @param replied whether its reader replied; null leaves all that came back to luck
   */
  record Sent(long cause, Reader reader, Instant at, Boolean replied) {}

  /** The same as it left. */
  private record Message(long id, Sent sent, String token, OutgoingMessage mail) {
    Reader reader() {
      return sent.reader();
    }

    Instant sentAt() {
      return sent.at();
    }
  }

  /** One response. */
  private record Answer(ResponseKind kind, Duration after, String detail) {}

  private static final Set<ResponseKind> ENDS =
      EnumSet.of(ResponseKind.REPLIED, RETURNED_HARD, ResponseKind.LEFT);

  private final OutgoingTexts texts;
  private final MailCarrier handover;
  private final WorkspaceService workspace;
  private final ObjectMapper json;
  private final SecureRandom secure = new SecureRandom();

  DemoMailings(
      OutgoingTexts texts, MailCarrier handover, WorkspaceService workspace, ObjectMapper json) {
    this.texts = texts;
    this.handover = handover;
    this.workspace = workspace;
    this.json = json;
  }

  /** The messages of past mailings, each to its share of the readers. */
  static List<Sent> sent(List<Past> mailings, List<Reader> readers, long seed) {
    Random random = new Random(seed);
    List<Sent> sent = new ArrayList<>();
    for (Past mailing : mailings) {
      int share = 3 + random.nextInt(4);
      Instant at = mailing.sentFrom();
      for (Reader reader : readers) {
        if (random.nextInt(share) == 0) {
          at = at.plusSeconds(1 + random.nextInt(20));
          sent.add(new Sent(mailing.id(), reader, at, null));
        }
      }
    }
    return sent;
  }

  /** Writes messages that have left, and what came back on them. */
  void write(Connection connection, List<Sent> sent, long seed, Instant now) throws SQLException {
    Random random = new Random(seed);
    byte[] secret = workspace.current().secret();
    List<Message> messages = new ArrayList<>();
    for (Sent one : sent) {
      byte[] octets = new byte[16];
      random.nextBytes(octets);
      String token = PublicToken.of(octets, secret);
      messages.add(
          new Message(
              messages.size() + 1L, one, token, mail(one.cause(), one.reader(), one.at(), token)));
    }
    List<List<Answer>> answers = messages.stream().map(m -> answers(m, random, now)).toList();
    writeMessages(connection, messages, answers);
    writeAudiences(connection);
    writeCopies(connection, messages);
    writeAnswers(connection, messages, answers);
  }

  private OutgoingMessage mail(long mailing, Reader reader, Instant at, String token) {
    OutgoingTexts.ToWrite message =
        new OutgoingTexts.ToWrite(
            mailing,
            new PersonId(reader.id()),
            new Address.Email(reader.email()),
            reader.name(),
            token,
            frozen(reader),
            ThreadPlace.NEW);
    return (OutgoingMessage) texts.begin(List.of(message)).write(message, at);
  }

  /** A message that waits in the outbox; its token is a real secret, since it will really leave. */
  NewMessage waiting(Reader reader, Instant due) {
    byte[] octets = new byte[16];
    secure.nextBytes(octets);
    return new NewMessage(
        new PersonId(reader.id()),
        new Address.Email(reader.email()),
        reader.name(),
        PublicToken.of(octets, workspace.current().secret()),
        frozen(reader),
        null,
        null,
        ThreadPlace.NEW,
        0,
        due);
  }

  private String frozen(Reader reader) {
    ObjectNode frozen = json.createObjectNode().put("language", "en-GB");
    ObjectNode values = frozen.putObject("values");
    if (reader.firstName() != null) {
      values.putObject("first_name").put("text", reader.firstName());
    }
    if (reader.plan() != null) {
      values.putObject("plan").put("text", reader.plan());
    }
    return json.writeValueAsString(frozen);
  }

  private static List<Answer> answers(Message message, Random random, Instant now) {
    List<Answer> answers = byLuck(message, random, now);
    if (message.sent().replied() != null) {
      // What ends a series ended it just where its reader stands.
      answers.removeIf(a -> ENDS.contains(a.kind()));
      if (message.sent().replied()) {
        answers.add(
            new Answer(
                ResponseKind.REPLIED, Duration.ofMinutes(5), any(DemoWords.REPLIES, random)));
      }
    }
    return answers;
  }

  private static List<Answer> byLuck(Message message, Random random, Instant now) {
    List<Answer> answers = new ArrayList<>();
    int luck = random.nextInt(100);
    if (luck == 0) {
      boolean recent = message.sentAt().isAfter(now.minus(Duration.ofDays(10)));
      answers.add(
          recent
              ? new Answer(RETURNED_HARD, Duration.ofSeconds(40), "5.1.1 no such mailbox")
              : new Answer(RETURNED_SOFT, Duration.ofSeconds(40), "5.2.2 mailbox is full"));
      return answers;
    }
    if (luck < 16) {
      answers.add(new Answer(ResponseKind.MACHINE_OPENED, Duration.ofSeconds(2), ""));
    }
    if (luck >= 12 && luck < 60) {
      Duration opened = after(random, 9 * 60);
      answers.add(new Answer(ResponseKind.OPENED, opened, ""));
      if (random.nextInt(3) == 0 && !message.mail().links().isEmpty()) {
        answers.add(
            new Answer(
                ResponseKind.CLICKED, opened.plusSeconds(40), message.mail().links().get(0)));
      }
      if (random.nextInt(3) == 0) {
        answers.add(
            new Answer(
                ResponseKind.REPLIED,
                opened.plus(after(random, 120)),
                any(DemoWords.REPLIES, random)));
      }
    } else if (luck == 60) {
      answers.add(
          new Answer(
              ResponseKind.AUTO_REPLIED, Duration.ofSeconds(30), "I am away until Monday week."));
    } else if (luck == 61 && random.nextInt(2) == 0) {
      answers.add(new Answer(ResponseKind.LEFT, after(random, 300), ""));
    }
    answers.removeIf(a -> message.sentAt().plus(a.after()).isAfter(now));
    return answers;
  }

  /** Most answer soon, some much later. */
  private static Duration after(Random random, int usualMinutes) {
    double minutes = -Math.log(1 - random.nextDouble()) * usualMinutes;
    return Duration.ofSeconds(20 + (long) (minutes * 60));
  }

  private void writeMessages(
      Connection connection, List<Message> messages, List<List<Answer>> answers)
      throws SQLException {
    try (CopyIn copy =
        new CopyIn(
            connection,
            "message (id, cause_id, person_id, address, recipient, token, state, frozen, "
                + "due_at, tries, first_try_at, sent_at, subject, links, standing, copies_id, "
                + "copy_place)")) {
      for (int i = 0; i < messages.size(); i++) {
        Message m = messages.get(i);
        copy.row(
            m.id(),
            m.sent().cause(),
            m.reader().id(),
            m.reader().email(),
            m.reader().name(),
            m.token(),
            "sent",
            frozen(m.reader()),
            m.sentAt(),
            1,
            m.sentAt(),
            m.sentAt(),
            m.mail().subject(),
            m.mail().links(),
            standing(answers.get(i)),
            m.id(),
            1);
      }
    }
  }

  /** A past mailing was for those who got it, each picked by hand. */
  private static void writeAudiences(Connection connection) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.executeUpdate(
          """
          insert into audience (mailing_id, picks)
          select cause_id, array_agg(person_id order by person_id)
          from message
          where cause_id in (select id from cause where kind = 'MAILING')
          group by cause_id
          on conflict do nothing
          """);
    }
  }

  /** Each by itself, under its message's number. */
  private void writeCopies(Connection connection, List<Message> messages) throws SQLException {
    try (CopyIn copy = new CopyIn(connection, "sent_copies (id, mimes, ends)")) {
      for (Message m : messages) {
        byte[] octets = handover.write(m.mail());
        copy.row(m.id(), octets, List.of(octets.length));
      }
    }
  }

  private static void writeAnswers(
      Connection connection, List<Message> messages, List<List<Answer>> answers)
      throws SQLException {
    try (CopyIn copy =
        new CopyIn(connection, "response (message_id, cause_id, person_id, kind, at, detail)")) {
      for (int i = 0; i < messages.size(); i++) {
        Message m = messages.get(i);
        for (Answer answer : answers.get(i)) {
          copy.row(
              m.id(),
              m.sent().cause(),
              m.reader().id(),
              answer.kind(),
              m.sentAt().plus(answer.after()),
              answer.detail());
        }
      }
    }
  }

  private static Standing standing(List<Answer> answers) {
    Set<ResponseKind> kinds = EnumSet.noneOf(ResponseKind.class);
    answers.forEach(a -> kinds.add(a.kind()));
    return Standing.of(kinds);
  }
}
