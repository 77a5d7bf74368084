package app.jemble.workspace;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Words;
import app.jemble.problem.Problem;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The fields that a workspace adds to its people. */
@Service
public class AttributeService {

  private static final Set<FieldType> TYPES =
      EnumSet.of(FieldType.TEXT, FieldType.NUMBER, FieldType.DAY, FieldType.FLAG, FieldType.CHOICE);
  private static final int LONGEST = 60;
  private static final int MOST = 200;

  private final WorkspaceService workspace;

  AttributeService(WorkspaceService workspace) {
    this.workspace = workspace;
  }

  /** Adds an attribute; its name is made of its label. */
  @Transactional
  public String add(String label, FieldType type, List<String> choices, boolean required) {
    String words = label(label, null);
    if (type == null || !TYPES.contains(type)) {
      throw Problem.wrong("type", "Choose text, number, day, yes or no, or a choice.");
    }
    if (workspace.attributes().size() >= MOST) {
      throw Problem.wrong("label", "A workspace adds at most " + MOST + " fields.");
    }
    String name = name(words);
    Field field = new Field(name, words, type, choices(type, choices), Set.of(FieldUse.values()));
    workspace.addAttribute(field, required);
    return name;
  }

  /** Changes what an attribute is called, its choices, or whether it is required. */
  @Transactional
  public void change(String name, String label, List<String> choices, boolean required) {
    Field before =
        workspace.attributes().stream()
            .map(WorkspaceService.Attribute::field)
            .filter(f -> f.name().equals(name))
            .findFirst()
            .orElseThrow(() -> Problem.notFound("There is no such field any more."));
    workspace.changeAttribute(
        new Field(
            name,
            label(label, name),
            before.type(),
            choices(before.type(), choices),
            before.uses()),
        required);
  }

  @Transactional
  public void remove(String name) {
    if (!workspace.removeAttribute(name)) {
      throw Problem.notFound("There is no such field any more.");
    }
  }

  /** Two fields of one label could not be told apart in a filter's sentence. */
  private String label(String label, String own) {
    String words = label == null ? "" : label.strip().replaceAll("\\s+", " ");
    if (words.isEmpty() || words.length() > LONGEST) {
      throw Problem.wrong("label", "Give the field a label of at most " + LONGEST + " letters.");
    }
    if (words.matches(".*[“”\\[\\]{}].*")) {
      throw Problem.wrong("label", "A label has no brackets, braces or quotes.");
    }
    boolean taken =
        workspace.fields().all(FieldUse.FILTER).stream()
            .anyMatch(
                f -> !f.name().equals(own) && Words.fold(f.label()).equals(Words.fold(words)));
    if (taken) {
      throw Problem.wrong("label", "There is already a field labelled “" + words + "”.");
    }
    return words;
  }

  /** {@code "Berth name"} gives {@code berth_name}; a number is added where the name is taken. */
  private String name(String label) {
    String plain =
        Words.fold(label)
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "_")
            .replaceAll("^[_0-9]+|_+$", "");
    String base = plain.isEmpty() ? "field" : plain;
    String name = base;
    for (int i = 2; workspace.fields().find(name).isPresent(); i++) {
      name = base + "_" + i;
    }
    return name;
  }

  private static List<String> choices(FieldType type, List<String> given) {
    if (type != FieldType.CHOICE) {
      return List.of();
    }
    List<String> choices =
        (given == null ? List.<String>of() : given)
            .stream().map(String::strip).filter(c -> !c.isEmpty()).distinct().toList();
    if (choices.size() < 2 || choices.size() > 100) {
      throw Problem.wrong("choices", "Give two to a hundred choices, one a line.");
    }
    return choices;
  }
}
