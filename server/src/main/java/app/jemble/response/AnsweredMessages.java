package app.jemble.response;

import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import org.springframework.stereotype.Service;

/** Finds the message that something which came back is about; null where there is none. */
@Service
public class AnsweredMessages {

  private final ResponseMapper mapper;

  AnsweredMessages(ResponseMapper mapper) {
    this.mapper = mapper;
  }

  public Answered byToken(String token) {
    return mapper.byToken(token);
  }

  public Answered byId(MessageId id) {
    return mapper.byId(id);
  }

  /** The last that was sent to an address with a subject. */
  public Answered bySenderAndSubject(String address, String subject) {
    return mapper.bySenderAndSubject(address, subject);
  }

  /** The last text that was sent to a number. */
  public Answered lastToNumber(String number) {
    return mapper.lastToNumber(number);
  }

  /** The last that was sent to the one person of a name with a subject. */
  public Answered byNameAndSubject(String name, String subject) {
    return mapper.byNameAndSubject(name, subject);
  }

  /** Whether an address is on record for a person. */
  public boolean isAddressOf(PersonId person, String address) {
    return mapper.isAddressOf(person, address);
  }
}
