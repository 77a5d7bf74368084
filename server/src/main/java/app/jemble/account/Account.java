package app.jemble.account;

/**
 * A colleague who signs in.
 *
 * @param personId the colleague's own record among the people, or null
 * @param pictureKey the key of the colleague's own picture, or null
 * @param signature template text that stands beneath what this colleague writes
 */
public record Account(
    long id,
    String login,
    String name,
    String email,
    String title,
    Role role,
    Long personId,
    String phone,
    String pictureKey,
    String signature) {

  /** What a colleague may do. */
  public enum Role {
    ADMINISTRATOR,
    COORDINATOR,
    REPRESENTATIVE,
    READER;

    /** A reader looks, and changes nothing. */
    public boolean mayWrite() {
      return this != READER;
    }

    /** Taking people's data out of the house is for those who may change it. */
    public boolean mayExport() {
      return mayWrite();
    }
  }
}
