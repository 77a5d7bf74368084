package app.jemble.carrier.mail;

import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.Line;
import app.jemble.carrier.Parcel;
import app.jemble.carrier.mail.SmtpTalk.Answer;
import app.jemble.settings.JembleSettings;
import jakarta.mail.MessagingException;
import java.time.Duration;

/**
 * One connection to the mail server, kept from message to message. For one thread at a time. Knows
 * how far a hand-over had come when it failed, which decides between trying again and doubt.
 *
 * <p>Where the server allows it (RFC 2920), sender, recipient and DATA go out together, and those
 * of the next message together with the end of this one: one round trip a message.
 */
final class MailConnection implements Line, AutoCloseable {

  private final JembleSettings.Smtp settings;
  private volatile SmtpTalk talk;
  private volatile long lastUsed = System.nanoTime();

  /** Whose commands are out already, their answers not yet read. */
  private Envelope announced;

  /** A recipient was refused: what was said of that message is still in the server's mind. */
  private boolean halfSaid;

  MailConnection(JembleSettings.Smtp settings) {
    this.settings = settings;
  }

  /** Hands one message over by itself. */
  HandoverResult send(byte[] mime, Envelope envelope) {
    return send(mime, envelope, null, () -> {});
  }

  @Override
  public HandoverResult send(Parcel parcel, Parcel next, Runnable begin) {
    return send(parcel.octets(), envelope(parcel), next == null ? null : envelope(next), begin);
  }

  private static Envelope envelope(Parcel parcel) {
    return new Envelope(parcel.from(), parcel.to());
  }

  /**
   * Hands a message over, connecting first where needed. A kept connection that the server closed
   * in the meantime, with or without a word (421, RFC 5321 section 3.8), is opened anew once.
   *
   * @param next whose message is handed over next and without fail, or null
   * @param begin told right before the first octet of the message leaves; what it throws stops that
   */
  HandoverResult send(byte[] mime, Envelope envelope, Envelope next, Runnable begin) {
    boolean kept = talk != null;
    lastUsed = System.nanoTime();
    HandoverResult result = sendOnce(mime, envelope, next, kept, begin);
    return kept && result instanceof HandoverResult.NotTried
        ? sendOnce(mime, envelope, next, false, begin)
        : result;
  }

  private HandoverResult sendOnce(
      byte[] mime, Envelope envelope, Envelope next, boolean kept, Runnable begin) {
    try {
      connect();
    } catch (MessagingException unreachable) {
      return new HandoverResult.Unreachable(MailStep.words(unreachable));
    }
    if (envelope.needsAllAlphabets() && !talk.takesAllAlphabets()) {
      return new HandoverResult.Refused(
          "the mail server takes no address in this alphabet (RFC 6531)");
    }
    boolean given = false;
    try {
      Answer refusal = introduce(envelope);
      if (refusal != null) {
        return kept && refusal.isLast() ? ended(refusal) : judge(refusal);
      }
      begin.run();
      talk.say(Dots.stuffed(mime));
      // A server drops what ends without the final dot (RFC 5321 section 4.1.1.4).
      given = true;
      end(next);
      Answer answer = talk.answer();
      return answer.isRefusal() ? judge(answer) : new HandoverResult.Accepted();
    } catch (MessagingException broken) {
      close();
      return given
          ? new HandoverResult.InDoubt("the mail server gave no answer: " + MailStep.words(broken))
          : new HandoverResult.NotTried("the mail server broke off: " + MailStep.words(broken));
    } catch (RuntimeException notBegun) {
      close();
      throw notBegun;
    }
  }

  Duration unusedFor() {
    return Duration.ofNanos(System.nanoTime() - lastUsed);
  }

  boolean isOpen() {
    return talk != null;
  }

  /** Connects and signs in, unless that is done. */
  void connect() throws MessagingException {
    if (talk == null) {
      SmtpTalk fresh = talk(settings);
      fresh.begin();
      talk = fresh;
      lastUsed = System.nanoTime();
    }
  }

  private static SmtpTalk talk(JembleSettings.Smtp settings) throws MessagingException {
    try {
      return new SmtpTalk(settings);
    } catch (IllegalStateException wrongSettings) {
      throw new MessagingException(wrongSettings.getMessage());
    }
  }

  /** Brings the server to where the text may follow; answers what it refused, or null. */
  private Answer introduce(Envelope envelope) throws MessagingException {
    if (announced != null && !announced.equals(envelope)) {
      throw new MessagingException("another message was announced");
    }
    if (halfSaid) {
      talk.say("RSET");
      talk.answer();
      halfSaid = false;
    }
    return talk.takesGroups() ? introduceAtOnce(envelope) : introduceStepByStep(envelope);
  }

  private Answer introduceAtOnce(Envelope envelope) throws MessagingException {
    if (announced == null) {
      talk.say(commands(envelope));
    }
    announced = null;
    Answer sender = talk.answer();
    Answer recipient = sender.isLast() ? sender : talk.answer();
    Answer data = recipient.isLast() ? recipient : talk.answer();
    Answer refusal = sender.isRefusal() ? sender : recipient.isRefusal() ? recipient : data;
    if (!refusal.isRefusal()) {
      return askedForText(refusal);
    }
    if (!data.isRefusal()) {
      // It would take a text for nobody (RFC 2920 section 3.1): it gets an empty one.
      talk.say(".");
      talk.answer();
    }
    halfSaid = true;
    return refusal;
  }

  private Answer introduceStepByStep(Envelope envelope) throws MessagingException {
    Answer answer = null;
    for (String command : commands(envelope).split("\r\n")) {
      talk.say(command);
      answer = talk.answer();
      if (answer.isRefusal()) {
        halfSaid = true;
        return answer;
      }
    }
    return askedForText(answer);
  }

  private static Answer askedForText(Answer toData) throws MessagingException {
    if (toData.code() != 354) {
      throw new MessagingException("the mail server did not ask for the text: " + toData.words());
    }
    return null;
  }

  private void end(Envelope next) throws MessagingException {
    boolean announces = next != null && talk.takesGroups() && !next.needsAllAlphabets();
    talk.say(announces ? ".\r\n" + commands(next) : ".");
    announced = announces ? next : null;
  }

  private static String commands(Envelope envelope) {
    return envelope.mailCommand() + "\r\n" + envelope.recipientCommand() + "\r\nDATA";
  }

  /** Said of the connection, not of this message: it was unused for too long, or used enough. */
  private HandoverResult ended(Answer farewell) {
    close();
    return new HandoverResult.NotTried(farewell.words());
  }

  private HandoverResult judge(Answer refusal) {
    if (refusal.keepsUsOut()) {
      close();
      return new HandoverResult.Unreachable(refusal.words());
    }
    if (refusal.isLast()) {
      close();
    }
    return refusal.code() >= 500
        ? new HandoverResult.Refused(refusal.words())
        : new HandoverResult.PutOff(refusal.words());
  }

  /** Whether the server still answers (NOOP). */
  boolean isReady() {
    return talk.isConnected();
  }

  @Override
  public void close() {
    SmtpTalk ended = talk;
    talk = null;
    announced = null;
    halfSaid = false;
    if (ended != null) {
      try {
        ended.close();
      } catch (MessagingException alreadyGone) {
        // A connection that is gone is closed; the next message opens another.
      }
    }
  }
}
