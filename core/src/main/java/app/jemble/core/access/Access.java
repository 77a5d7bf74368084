package app.jemble.core.access;

import java.util.Locale;

/**
 * The one place that decides who may do what. First the right is asked for, whatever it is about,
 * so that a refusal says nothing of what there is; then what it is about.
 */
public final class Access {

  private static final Decision YES = new Decision.Yes();

  private Access() {}

  public static Decision decide(Asker asker, Right right, About about) {
    Role role = asker.role();
    if (!role.has(right)) {
      return new Decision.No(right.refusal(role.name()));
    }
    if (about instanceof About.Owned owned) {
      return owned.isPrivate() && owned.ownerId() != asker.id() ? new Decision.Unknown() : YES;
    }
    if (about instanceof About.Done done) {
      return mayTakeBack(asker, done)
          ? YES
          : new Decision.No(
              "Only whoever did it, or who looks after colleagues, can take it back.");
    }
    if (about instanceof About.People people) {
      return right == Right.EXPORT
          ? rows(role.limits(), people.count())
          : atOnce(role.limits(), people.count());
    }
    return YES;
  }

  /** Of the whole house. */
  public static Decision decide(Asker asker, Right right) {
    return decide(asker, right, About.HOUSE);
  }

  /** To write to so many people at once; one alone is another right than many. */
  public static Decision write(Asker asker, int people) {
    return people > 1
        ? decide(asker, Right.WRITE_TO_MANY, new About.People(people))
        : decide(asker, Right.WRITE_TO_ONE);
  }

  /** How many somebody may write to at once; null for any number. */
  public static Integer mostAtOnce(Asker asker) {
    return asker.role().limits().mostAtOnce();
  }

  /**
   * Whether somebody may nod to a release of another: who could have released as many alone.
   *
   * @param askedBy who asks for the nod
   */
  public static Decision nod(Asker asker, long askedBy, int people) {
    if (asker.id() == askedBy) {
      return new Decision.No("A second colleague nods, not whoever asked.");
    }
    Decision own = write(asker, people);
    return own instanceof Decision.WithNod
        ? new Decision.No("You would need a nod for as many yourself.")
        : own;
  }

  private static Decision atOnce(Role.Limits limits, int people) {
    Integer most = limits.mostAtOnce();
    if (most != null && people > most) {
      return new Decision.No(
          String.format(Locale.ROOT, "You may write to %,d at once; these are %,d.", most, people),
          most);
    }
    Integer above = limits.nodAbove();
    return above != null && people > above ? new Decision.WithNod(above) : YES;
  }

  private static Decision rows(Role.Limits limits, int people) {
    Integer most = limits.mostRows();
    return most != null && people > most
        ? new Decision.No(
            String.format(
                Locale.ROOT,
                "You may take out %,d people in one file; these are %,d.",
                most,
                people))
        : YES;
  }

  private static boolean mayTakeBack(Asker asker, About.Done done) {
    return done.byId() != null && (done.byId() == asker.id() || asker.role().has(Right.COLLEAGUES));
  }
}
