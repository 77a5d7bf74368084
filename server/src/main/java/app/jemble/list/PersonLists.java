package app.jemble.list;

import app.jemble.access.AccessService;
import app.jemble.account.AccountService;
import app.jemble.core.record.PersonId;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.record.Undoing;
import app.jemble.storage.RenamedWord;
import java.time.Clock;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lists, and who is on them. */
@Service
public class PersonLists implements Undoing {

  private static final String FIELD = "list:";

  /** A list and how many people are on it. */
  public record PersonList(long id, String name, long people, String by) {}

  private final PersonListMapper mapper;
  private final ChangeService changes;
  private final AccountService accounts;
  private final AccessService access;
  private final ObjectProvider<RenamedWord.Follower> followers;
  private final Clock clock;

  PersonLists(
      PersonListMapper mapper,
      ChangeService changes,
      AccountService accounts,
      AccessService access,
      ObjectProvider<RenamedWord.Follower> followers,
      Clock clock) {
    this.mapper = mapper;
    this.changes = changes;
    this.accounts = accounts;
    this.access = access;
    this.followers = followers;
    this.clock = clock;
  }

  public List<PersonList> all() {
    return mapper.all();
  }

  /** The name of a list; a problem when there is none. */
  public String name(long id) {
    String name = mapper.name(id);
    if (name == null) {
      throw Problem.notFound("There is no such list any more.");
    }
    return name;
  }

  @Transactional
  public long create(String name) {
    long by = accounts.currentWriter().id();
    try {
      return mapper.create(sound(name), clock.instant(), by);
    } catch (DuplicateKeyException taken) {
      throw taken(name);
    }
  }

  private void mayChange(long id) {
    accounts.currentWriter();
    Long madeBy = mapper.madeBy(id);
    if (madeBy != null) {
      access.mustChangeForAll(madeBy);
    }
  }

  /** Filters that ask for the list go on asking for it. */
  @Transactional
  public void rename(long id, String name) {
    mayChange(id);
    RenamedWord renamed = RenamedWord.ofPeople("list", name(id), sound(name));
    try {
      mapper.rename(id, renamed.after());
    } catch (DuplicateKeyException taken) {
      throw taken(name);
    }
    followers.forEach(f -> f.follow(renamed));
  }

  /** Does away with a list; the people stay. */
  @Transactional
  public void delete(long id) {
    mayChange(id);
    mapper.delete(id);
  }

  /** Puts people on a list; answers how many were not on it. */
  public long add(long batch, long list, List<PersonId> people) {
    name(list);
    List<PersonId> added = mapper.add(list, people.toArray(PersonId[]::new));
    changes.note(batch, added, FIELD + list, null, "true");
    return added.size();
  }

  /** Takes people off a list; answers how many were on it. */
  public long remove(long batch, long list, List<PersonId> people) {
    name(list);
    List<PersonId> removed = mapper.remove(list, people.toArray(PersonId[]::new));
    changes.note(batch, removed, FIELD + list, "true", null);
    return removed.size();
  }

  @Override
  public boolean takes(String field) {
    return field.startsWith(FIELD);
  }

  @Override
  public void undo(String field, List<Noted> changes) {
    long list = Long.parseLong(field.substring(FIELD.length()));
    if (mapper.name(list) != null) {
      mapper.remove(list, people(changes, true));
      mapper.add(list, people(changes, false));
    }
  }

  private static PersonId[] people(List<Noted> changes, boolean added) {
    return changes.stream()
        .filter(c -> (c.after() != null) == added)
        .map(Noted::personId)
        .toArray(PersonId[]::new);
  }

  private static String sound(String name) {
    String words = name == null ? "" : name.strip();
    if (words.isEmpty() || words.length() > 80) {
      throw Problem.wrong("name", "Give the list a name of at most 80 letters.");
    }
    return words;
  }

  private static Problem taken(String name) {
    return Problem.wrong("name", "There is already a list named “" + name.strip() + "”.");
  }
}
