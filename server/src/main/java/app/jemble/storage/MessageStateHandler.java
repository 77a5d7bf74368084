package app.jemble.storage;

import app.jemble.core.message.MessageState;
import org.apache.ibatis.type.MappedTypes;

/** The state of a message by its stored name. */
@MappedTypes(MessageState.class)
public class MessageStateHandler extends StoredNames<MessageState> {

  public MessageStateHandler() {
    super(MessageState.values(), MessageState::stored);
  }
}
