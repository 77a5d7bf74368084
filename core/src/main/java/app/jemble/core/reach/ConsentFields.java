package app.jemble.core.reach;

import java.util.Map;
import java.util.Optional;

/**
 * The fields that say of somebody that they asked not to be written to on one way, whatever the
 * topic.
 */
public final class ConsentFields {

  private static final Map<String, Channel> WAYS =
      Map.of("no_mail", Channel.EMAIL, "no_texts", Channel.TEXT, "no_notices", Channel.APP);

  private ConsentFields() {}

  /** The way that a field is about; empty for any other field. */
  public static Optional<Channel> way(String field) {
    return Optional.ofNullable(WAYS.get(field));
  }
}
