package app.jemble.cause;

import app.jemble.core.message.MailWording;
import org.springframework.stereotype.Service;

/** What causes say to those they write to. */
@Service
public class Wordings {

  private final WordingMapper mapper;

  Wordings(WordingMapper mapper) {
    this.mapper = mapper;
  }

  /** What a cause says by mail. */
  public MailWording of(Cause cause) {
    return mapper.mail(cause.wordingId());
  }

  /** Says something else from now on; what has left stays as it left. */
  public void write(Cause cause, MailWording wording) {
    write(cause.wordingId(), wording);
  }

  long add(MailWording wording) {
    return mapper.addMail(wording.channel(), wording);
  }

  void write(long id, MailWording wording) {
    mapper.writeMail(id, wording);
  }
}
