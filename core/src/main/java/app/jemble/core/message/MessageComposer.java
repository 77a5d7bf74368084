package app.jemble.core.message;

import app.jemble.core.merge.Escaping;
import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.Template;
import app.jemble.core.record.Values;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Puts one person's message together from the parsed subject and body. */
public final class MessageComposer {

  /**
   * What is the same for every message of a mailing.
   *
   * @param subject parsed as a header
   * @param body parsed as HTML
   * @param from who writes
   * @param houseName the name over the message and in its foot
   * @param houseAddress the postal address in the foot
   * @param language of the texts
   * @param zone the workspace's zone
   * @param publicUrl where marks, links and the leaving page are found, without a final slash
   * @param returnDomain the domain of envelope senders and Message-IDs
   * @param counting which responses are counted
   * @param mayLeave whether the message says how to leave
   */
  public record Shared(
      Template subject,
      Template body,
      Mailbox from,
      String houseName,
      String houseAddress,
      Locale language,
      ZoneId zone,
      String publicUrl,
      String returnDomain,
      Counting counting,
      boolean mayLeave) {}

  /** Which responses are counted. */
  public record Counting(boolean opens, boolean clicks) {}

  /**
   * What is one person's own.
   *
   * @param language the person's, for dates, money and lists
   * @param token the message's public token, or empty for a proof: then nothing is counted
   */
  public record Own(
      Mailbox to, Values values, Locale language, Instant date, String token, ThreadPlace thread) {}

  /**
   * A message and what was missing for it.
   *
   * @param missing fields without a value and without a fallback
   */
  public record Composed(OutgoingMessage message, Set<String> missing) {
    public Composed {
      missing = Set.copyOf(missing);
    }
  }

  private MessageComposer() {}

  public static Composed compose(Shared shared, Own own) {
    Renderer.Rendered subject =
        Renderer.render(shared.subject(), own.values(), own.language(), shared.zone());
    Renderer.Rendered body =
        Renderer.render(shared.body(), own.values(), own.language(), shared.zone());
    Set<String> missing = new TreeSet<>(subject.missing());
    missing.addAll(body.missing());

    boolean counted = !own.token().isEmpty();
    String base = shared.publicUrl();
    CountedHtml marked =
        counted && shared.counting().clicks()
            ? CountedHtml.of(body.text(), n -> base + "/l/" + own.token() + "/" + n)
            : new CountedHtml(body.text(), List.of());
    Optional<String> leave =
        shared.mayLeave() && counted
            ? Optional.of(base + "/leave/" + own.token())
            : Optional.empty();
    String mark = counted && shared.counting().opens() ? base + "/o/" + own.token() + ".gif" : null;
    MessageFrame frame =
        new MessageFrame(
            shared.houseName(),
            shared.houseAddress(),
            shared.language(),
            shared.mayLeave(),
            leave.orElse("#"),
            mark);
    String id = counted ? own.token() : proofId(own.date());
    OutgoingMessage message =
        new OutgoingMessage(
            "<" + id + "@" + shared.returnDomain() + ">",
            own.date(),
            shared.from(),
            own.to(),
            Escaping.oneLine(subject.text()),
            frame.html(marked.html()),
            frame.text(PlainText.fromHtml(body.text())),
            own.thread(),
            marked.links(),
            leave,
            "return+" + id + "@" + shared.returnDomain());
    return new Composed(message, missing);
  }

  private static String proofId(Instant date) {
    return "proof." + date.getEpochSecond() + "." + date.getNano();
  }
}
