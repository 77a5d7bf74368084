package app.jemble.inbound;

import jakarta.mail.FetchProfile;
import jakarta.mail.Flags;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.UIDFolder;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Properties;

/** A mailbox of which one mail is not handed over for a while, as happens on real mail servers. */
final class StubbornFolder extends Folder implements UIDFolder {

  private final List<Mail> mails;

  /**
   * @param refusals how often the first mail is asked for in vain
   */
  StubbornFolder(int refusals, String... mails) throws MessagingException {
    super(Session.getInstance(new Properties()).getStore("imap"));
    Mail[] all = new Mail[mails.length];
    for (int i = 0; i < mails.length; i++) {
      all[i] = new Mail(mails[i], i == 0 ? refusals : 0);
    }
    this.mails = List.of(all);
  }

  private static final class Mail extends MimeMessage {
    private int refusals;

    Mail(String text, int refusals) throws MessagingException {
      super(
          Session.getInstance(new Properties()),
          new ByteArrayInputStream(text.replace("\n", "\r\n").getBytes(StandardCharsets.UTF_8)));
      this.refusals = refusals;
    }

    @Override
    public void writeTo(OutputStream out) throws IOException, MessagingException {
      if (refusals-- > 0) {
        throw new MessagingException("NO [SERVERBUG] cannot fetch");
      }
      super.writeTo(out);
    }
  }

  @Override
  public long getUIDValidity() {
    return 4711;
  }

  @Override
  public long getUIDNext() {
    return mails.size() + 1L;
  }

  @Override
  public Message getMessageByUID(long uid) {
    return mails.get((int) uid - 1);
  }

  @Override
  public Message[] getMessagesByUID(long start, long end) {
    return mails.stream().filter(m -> getUID(m) >= start).toArray(Message[]::new);
  }

  @Override
  public Message[] getMessagesByUID(long[] uids) {
    return Arrays.stream(uids).mapToObj(this::getMessageByUID).toArray(Message[]::new);
  }

  @Override
  public long getUID(Message message) {
    return mails.indexOf(message) + 1L;
  }

  @Override
  public void fetch(Message[] messages, FetchProfile profile) {}

  @Override
  public String getName() {
    return "INBOX";
  }

  @Override
  public String getFullName() {
    return "INBOX";
  }

  @Override
  public Folder getParent() {
    return null;
  }

  @Override
  public boolean exists() {
    return true;
  }

  @Override
  public Folder[] list(String pattern) {
    return new Folder[0];
  }

  @Override
  public char getSeparator() {
    return '/';
  }

  @Override
  public int getType() {
    return HOLDS_MESSAGES;
  }

  @Override
  public boolean create(int type) {
    return false;
  }

  @Override
  public boolean hasNewMessages() {
    return true;
  }

  @Override
  public Folder getFolder(String name) {
    return this;
  }

  @Override
  public boolean delete(boolean recurse) {
    return false;
  }

  @Override
  public boolean renameTo(Folder other) {
    return false;
  }

  @Override
  public void open(int how) {}

  @Override
  public void close(boolean expunge) {}

  @Override
  public boolean isOpen() {
    return true;
  }

  @Override
  public Flags getPermanentFlags() {
    return new Flags();
  }

  @Override
  public int getMessageCount() {
    return mails.size();
  }

  @Override
  public Message getMessage(int number) {
    return mails.get(number - 1);
  }

  @Override
  public void appendMessages(Message[] messages) {
    throw new UnsupportedOperationException();
  }

  @Override
  public Message[] expunge() {
    return new Message[0];
  }
}
