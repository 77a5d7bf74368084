package app.jemble.core.message;

import app.jemble.core.merge.Template;

/**
 * A file that travels with the message.
 *
 * @param name as the reader sees it
 * @param type its media type
 * @param octets the file; shared by all messages that carry it, never changed
 */
public record AttachedFile(String name, String type, byte[] octets) {

  /** A file whose name may hold merge fields. */
  public record Named(Template name, String type, byte[] octets) {}
}
