package app.jemble.response;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageState;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.response.ReturnMeaning;
import app.jemble.departure.AfterRefusal;
import org.springframework.stereotype.Component;

/** What a mail server refuses in the dialogue means for an address what a report would mean. */
@Component
class RefusalConsequences implements AfterRefusal {

  private final ResponseMapper responses;
  private final ResponseService service;

  RefusalConsequences(ResponseMapper responses, ResponseService service) {
    this.responses = responses;
    this.service = service;
  }

  @Override
  public void refused(MessageId messageId, String words) {
    Answered message = responses.byId(messageId);
    boolean known =
        message == null
            || responses.kinds(messageId).contains(ResponseKind.RETURNED_HARD)
            || responses.kinds(messageId).contains(ResponseKind.RETURNED_SOFT);
    // The state is asked anew: another process may have noted the same end before.
    if (known || message.state() != MessageState.REFUSED) {
      return;
    }
    ReturnMeaning meaning = ReturnMeaning.inWords(words);
    service.note(
        message,
        meaning.forGood() ? ResponseKind.RETURNED_HARD : ResponseKind.RETURNED_SOFT,
        words,
        null);
  }
}
