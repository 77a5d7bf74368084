package app.jemble.message;

import app.jemble.account.Account;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.core.reach.Channel;
import org.springframework.stereotype.Component;

/** What somebody's phone will show, by the way that reaches them. */
@Component
class PhoneProofs {

  private final TextProofs texts;
  private final NoticeProofs notices;

  PhoneProofs(TextProofs texts, NoticeProofs notices) {
    this.texts = texts;
    this.notices = notices;
  }

  ProofService.Proof proof(Letter letter, Reader reader) {
    return reader.way().channel() == Channel.TEXT
        ? texts.proof(letter, reader)
        : notices.proof(letter, reader);
  }

  /** Sends somebody's message to a colleague; answers where it went. */
  String sendCopy(Letter letter, Reader reader, Account colleague) {
    return reader.way().channel() == Channel.TEXT
        ? texts.sendCopy(letter, reader, colleague)
        : notices.sendCopy(letter, reader, colleague);
  }
}
