package app.jemble.cause;

import app.jemble.core.message.MailWording;
import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.PaperWording;
import app.jemble.core.message.TextWording;
import app.jemble.core.reach.Channel;
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

  /** What a cause says by text; nothing where nothing was ever written. */
  public TextWording text(Cause cause) {
    TextWording text = mapper.text(cause.id(), Channel.TEXT);
    return text == null ? TextWording.EMPTY : text;
  }

  /** Says something else by text from now on. */
  public void write(Cause cause, TextWording text) {
    mapper.writeText(cause.id(), text);
  }

  /** What a cause says to the app; nothing where nothing was ever written. */
  public NoticeWording notice(Cause cause) {
    NoticeWording notice = mapper.notice(cause.id(), Channel.APP);
    return notice == null ? NoticeWording.EMPTY : notice;
  }

  /** Says something else to the app from now on. */
  public void write(Cause cause, NoticeWording notice) {
    mapper.writeNotice(cause.id(), notice);
  }

  /** What a cause says on paper; nothing where nothing was ever written. */
  public PaperWording paper(Cause cause) {
    PaperWording paper = mapper.paper(cause.id(), Channel.POST);
    return paper == null ? PaperWording.EMPTY : paper;
  }

  /** Says something else on paper from now on. */
  public void write(Cause cause, PaperWording paper) {
    mapper.writePaper(cause.id(), paper);
  }

  /** A new cause says on its ways beside e-mail what another does. */
  public void copyBeside(Cause from, long to) {
    mapper.copyBeside(from.id(), to);
  }

  long add(MailWording wording) {
    return mapper.addMail(wording.channel(), wording);
  }

  void write(long id, MailWording wording) {
    mapper.writeMail(id, wording);
  }
}
