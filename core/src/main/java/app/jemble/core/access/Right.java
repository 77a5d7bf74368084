package app.jemble.core.access;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/** What an operation needs of the colleague who asks for it (domain rules, section 11). */
public enum Right {
  /** Nobody needs to be signed in. */
  NONE(null, "", "be there"),
  /** Everybody's who signs in: to see what the house sees, and to set up one's own view of it. */
  SEE(null, "", "look"),
  MAILINGS_OF_OTHERS(
      null, "See what others write, except what is private", "see what others write"),
  WORK(null, "Tasks, lists, notes of what came in", "change anything"),
  CHANGE_PEOPLE(WORK, "Add and change people, quotes and offices", "change people"),
  IMPORT(CHANGE_PEOPLE, "Bring in files of people", "bring in files"),
  WRITE_TO_ONE(WORK, "Write to one person, and answer", "write to anybody"),
  WRITE_TO_MANY(WRITE_TO_ONE, "Write to many at once", "write to more than one at once"),
  TEMPLATES(WORK, "Templates, documents and letterheads", "change templates"),
  SERIES(WORK, "Series and days to remember", "change series or days to remember"),
  SIGN_UPS(WORK, "Sign-up pages", "change sign-up pages"),
  PRINT(WORK, "Labels and letters on paper", "print"),
  EXPORT(null, "Take people’s data out in files", "take anything out in files"),
  OUTBOX(WORK, "Settle what stays in the outbox", "settle the outbox"),
  SETTINGS(WORK, "How the house works", "change how the house works"),
  COLLEAGUES(WORK, "Colleagues, roles and the history", "look after colleagues and roles");

  private final Right restsOn;
  private final String words;
  private final String refused;

  Right(Right restsOn, String words, String refused) {
    this.restsOn = restsOn;
    this.words = words;
    this.refused = refused;
  }

  /** The right without which this one is of no use; null for none. */
  public Right restsOn() {
    return restsOn;
  }

  /** What it allows, as the title of a row; empty for those that no role is without. */
  public String words() {
    return words;
  }

  /** Whether roles differ in it. */
  public boolean isGiven() {
    return !words.isEmpty();
  }

  /** Why somebody without it is refused. */
  String refusal(String role) {
    return "Your role, " + role + ", may not " + refused + ".";
  }

  /** Rights with all those they rest on, and without those that everybody has. */
  public static Set<Right> whole(Set<Right> wanted) {
    EnumSet<Right> whole = EnumSet.noneOf(Right.class);
    for (Right right : wanted) {
      for (Right r = right; r != null; r = r.restsOn) {
        if (r.isGiven()) {
          whole.add(r);
        }
      }
    }
    return Collections.unmodifiableSet(whole);
  }
}
