package app.jemble.storage;

import app.jemble.core.message.MessageId;
import org.apache.ibatis.type.MappedTypes;

/** Which message. */
@MappedTypes(MessageId.class)
public class MessageIdHandler extends StoredId<MessageId> {

  public MessageIdHandler() {
    super(MessageId::new, MessageId::value);
  }
}
