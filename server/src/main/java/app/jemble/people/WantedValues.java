package app.jemble.people;

import app.jemble.account.AccountService;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldException;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.FieldValue;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What somebody wants to have set of many people at once, read and found sound. */
@Component
public class WantedValues {

  /** Fields that no two people share. */
  private static final Set<String> ONE_EACH = Set.of("number", "email");

  private final WorkspaceService workspace;
  private final AccountService accounts;

  WantedValues(WorkspaceService workspace, AccountService accounts) {
    this.workspace = workspace;
    this.accounts = accounts;
  }

  /** The field of a name; a problem when there is none that can be set. */
  public Field field(String name) {
    Field field =
        workspace
            .fields()
            .find(name == null ? "" : name)
            .filter(f -> f.allows(FieldUse.EDIT))
            .orElseThrow(
                () -> Problem.wrong("field", "“" + name + "” is no field that can be set."));
    if (ONE_EACH.contains(field.name())) {
      throw Problem.wrong("field", field.label() + " is set one by one: no two people share it.");
    }
    return field;
  }

  /** A value as people write it; a problem when the field cannot have it. */
  public FieldValue value(Field field, String text) {
    FieldValue value = read(field, text);
    if (field.name().equals("owner")
        && value instanceof FieldValue.Text login
        && !accounts.isThere(login.text())) {
      throw Problem.wrong("value", "There is no colleague named “" + login.text() + "”.");
    }
    if (field.name().equals("asked_not") && !value.equals(new FieldValue.Flag(true))) {
      throw Problem.wrong(
          "value",
          "That people asked not to be written to can be noted, not taken back: they come back"
              + " only themselves.");
    }
    return value;
  }

  private FieldValue read(Field field, String value) {
    try {
      return workspace.reader().read(field, value);
    } catch (FieldException wrong) {
      throw Problem.wrong("value", wrong.getMessage());
    }
  }

  /** A tag as it is kept; a problem when it cannot be one. */
  public static String tag(String text) {
    String tag = text == null ? "" : text.strip();
    if (tag.isEmpty() || tag.length() > 60 || tag.matches(".*[,;|\\p{Cntrl}].*")) {
      throw Problem.wrong(
          "value", "A tag is a word or a few, at most 60 letters, without a comma.");
    }
    return tag;
  }
}
