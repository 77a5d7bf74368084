package app.jemble.core.access;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * The one place that decides who may do what. First the right is asked for, whatever it is about,
 * so that a refusal says nothing of what there is; then what it is about.
 */
public final class Access {

  private static final Decision YES = new Decision.Yes();

  /** Rights to change or send what is written, for all to whom it goes at once. */
  private static final Set<Right> REACHES_ALL =
      EnumSet.of(Right.WRITE_TO_ONE, Right.WRITE_TO_MANY, Right.SERIES);

  private Access() {}

  public static Decision decide(Asker asker, Right right, About about) {
    Role role = asker.role();
    if (!role.has(right)) {
      return new Decision.No(right.refusal(role.name()));
    }
    if (about instanceof About.Owned owned) {
      return isOpen(asker, owned) ? onIt(asker, right, owned) : new Decision.Unknown();
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

  /** Whose people somebody sees: by id the owner of all of them; empty for everybody's. */
  public static Optional<Long> onlyPeopleOf(Asker asker) {
    return asker.role().limits().ownPeople() ? Optional.of(asker.id()) : Optional.empty();
  }

  /**
   * To change what is there for people of everybody, such as a list or what is written to many.
   *
   * @param madeBy who made it
   */
  public static Decision changeForAll(Asker asker, long madeBy) {
    return madeBy != asker.id() && onlyPeopleOf(asker).isPresent()
        ? new Decision.No(
            "You see your own people only, and this is there for others too; whoever made it"
                + " changes it.")
        : YES;
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
    if (onlyPeopleOf(asker).isPresent()) {
      return new Decision.No("You see your own people only; whoever nods sees all of them.");
    }
    Decision own = write(asker, people);
    return own instanceof Decision.WithNod
        ? new Decision.No("You would need a nod for as many yourself.")
        : own;
  }

  private static boolean isOpen(Asker asker, About.Owned owned) {
    return owned.ownerId() == asker.id()
        || !owned.isPrivate() && asker.role().has(Right.MAILINGS_OF_OTHERS);
  }

  private static Decision onIt(Asker asker, Right right, About.Owned owned) {
    return REACHES_ALL.contains(right) ? changeForAll(asker, owned.ownerId()) : YES;
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
