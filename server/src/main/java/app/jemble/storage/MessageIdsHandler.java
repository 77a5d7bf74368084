package app.jemble.storage;

import app.jemble.core.message.MessageId;
import org.apache.ibatis.type.MappedTypes;

/** Which messages. */
@MappedTypes(MessageId[].class)
public class MessageIdsHandler extends StoredIds<MessageId> {

  public MessageIdsHandler() {
    super(MessageId::new, MessageId::value, MessageId[]::new);
  }
}
