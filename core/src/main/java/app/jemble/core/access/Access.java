package app.jemble.core.access;

/**
 * The one place that decides who may do what. First the right is asked for, whatever it is about,
 * so that a refusal says nothing of what there is; then what it is about.
 */
public final class Access {

  private static final Decision YES = new Decision.Yes();

  private Access() {}

  public static Decision decide(Asker asker, Right right, About about) {
    if (!right.isOf(asker.role())) {
      return new Decision.No(right.refusal());
    }
    if (about instanceof About.Owned owned) {
      return owned.isPrivate() && owned.ownerId() != asker.id() ? new Decision.Unknown() : YES;
    }
    if (about instanceof About.Done done) {
      return mayTakeBack(asker, done)
          ? YES
          : new Decision.No("Only whoever did it, or an administrator, can take it back.");
    }
    return YES;
  }

  /** Of the whole house. */
  public static Decision decide(Asker asker, Right right) {
    return decide(asker, right, About.HOUSE);
  }

  private static boolean mayTakeBack(Asker asker, About.Done done) {
    return done.byId() != null && (done.byId() == asker.id() || asker.role() == Role.ADMINISTRATOR);
  }
}
