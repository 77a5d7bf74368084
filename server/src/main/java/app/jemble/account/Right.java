package app.jemble.account;

/** What an operation of the API needs of the colleague who asks for it. */
public enum Right {
  /** Nobody needs to be signed in. */
  NONE {
    @Override
    boolean isOf(Account.Role role) {
      return true;
    }
  },
  /** To see what the house sees, and to set up one's own view of it. */
  LOOK {
    @Override
    boolean isOf(Account.Role role) {
      return true;
    }
  },
  /** To change things, to write to people, and to take their data out of the house. */
  WRITE {
    @Override
    boolean isOf(Account.Role role) {
      return role.mayWrite();
    }
  },
  /** To change how the house works. */
  ADMINISTER {
    @Override
    boolean isOf(Account.Role role) {
      return role == Account.Role.ADMINISTRATOR;
    }
  };

  abstract boolean isOf(Account.Role role);

  /** Why somebody without it is refused. */
  String refusal() {
    return this == ADMINISTER
        ? "Only an administrator may do this. Ask one."
        : "Readers look and change nothing. Ask an administrator for another role.";
  }
}
