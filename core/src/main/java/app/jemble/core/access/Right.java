package app.jemble.core.access;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/** What an operation needs of the colleague who asks for it. */
public enum Right {
  /** Nobody needs to be signed in. */
  NONE(EnumSet.allOf(Role.class), ""),
  /** To see what the house sees, and to set up one's own view of it. */
  SEE(EnumSet.allOf(Role.class), ""),
  /** To change things, and to write to people. */
  WRITE(
      EnumSet.complementOf(EnumSet.of(Role.READER)),
      "Readers look and change nothing. Ask an administrator for another role."),
  /** To take people's data out of the house: for those who may change it. */
  EXPORT(
      EnumSet.complementOf(EnumSet.of(Role.READER)),
      "Readers look and take nothing out. Ask an administrator for another role."),
  /** To change how the house works. */
  ADMINISTER(EnumSet.of(Role.ADMINISTRATOR), "Only an administrator may do this. Ask one.");

  private final Set<Role> roles;
  private final String refusal;

  Right(Set<Role> roles, String refusal) {
    this.roles = Collections.unmodifiableSet(roles);
    this.refusal = refusal;
  }

  boolean isOf(Role role) {
    return roles.contains(role);
  }

  /** Why somebody without it is refused, and whom to ask. */
  String refusal() {
    return refusal;
  }
}
