package app.jemble.account;

import app.jemble.core.access.Access;
import app.jemble.core.access.Asker;
import app.jemble.core.access.Right;
import app.jemble.core.access.Role;
import app.jemble.core.record.PersonId;

/**
 * A colleague who signs in.
 *
 * @param personId the colleague's own record among the people, or null
 * @param pictureKey the key of the colleague's own picture, or null
 * @param signature template text that stands beneath what this colleague writes
 * @param language the tag of the language of what the house tells them; null: as the house has it
 * @param off whether they may no longer sign in; what they did stays theirs
 * @param invited whether they have no password yet
 */
public record Account(
    long id,
    String login,
    String name,
    String email,
    String title,
    Role role,
    PersonId personId,
    String phone,
    String pictureKey,
    String signature,
    String language,
    boolean off,
    boolean invited) {

  /** As whom a colleague asks. */
  public Asker asker() {
    return new Asker(id, role);
  }

  public boolean may(Right right) {
    return !off && Access.decide(asker(), right).isYes();
  }
}
