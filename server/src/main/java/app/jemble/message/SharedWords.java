package app.jemble.message;

import app.jemble.core.message.LetterText.Written;
import app.jemble.core.message.MailWording;
import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.PaperWording;
import app.jemble.core.message.TextWording;
import app.jemble.core.reach.Channel;

/** What everybody gets who has no words of their own. */
record SharedWords(MailWording mail, TextWording text, NoticeWording notice, PaperWording paper) {

  /** Those of one way; the subject of a notice is its title, a text has none. */
  Written of(Channel channel) {
    return switch (channel) {
      case TEXT -> new Written("", text.words());
      case APP -> new Written(notice.title(), notice.words());
      case EMAIL -> mail.written();
      case POST -> paper.written();
    };
  }
}
