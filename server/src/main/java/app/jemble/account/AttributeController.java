package app.jemble.account;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.record.FieldType;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.workspace.AttributeService;
import app.jemble.workspace.WorkspaceService;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The fields that the workspace adds to people; administrators change them. */
@RestController
@RequestMapping("/api/attributes")
class AttributeController {

  record AttributeBody(
      String name, String label, FieldType type, List<String> choices, boolean required) {}

  record AttributeDraft(String label, FieldType type, List<String> choices, boolean required) {}

  record AttributeAdded(String name) {}

  private final AttributeService attributes;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final HouseHistory history;

  AttributeController(
      AttributeService attributes,
      WorkspaceService workspace,
      AccountService accounts,
      HouseHistory history) {
    this.attributes = attributes;
    this.workspace = workspace;
    this.accounts = accounts;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<AttributeBody> all() {
    return workspace.attributes().stream()
        .map(
            a ->
                new AttributeBody(
                    a.field().name(),
                    a.field().label(),
                    a.field().type(),
                    a.field().choices(),
                    a.required()))
        .toList();
  }

  @Needs(Right.SETTINGS)
  @Noted("Added a field")
  @PostMapping
  AttributeAdded add(@RequestBody AttributeDraft draft) {
    administratorsOnly();
    history.tell(draft.label(), "", draft.toString());
    return new AttributeAdded(
        attributes.add(draft.label(), draft.type(), draft.choices(), draft.required()));
  }

  @Needs(Right.SETTINGS)
  @Noted("Changed a field")
  @PutMapping("/{name}")
  void change(@PathVariable String name, @RequestBody AttributeDraft draft) {
    administratorsOnly();
    history.tell(name, "", draft.toString());
    attributes.change(name, draft.label(), draft.choices(), draft.required());
  }

  @Needs(Right.SETTINGS)
  @Noted("Took a field away")
  @DeleteMapping("/{name}")
  void remove(@PathVariable String name) {
    administratorsOnly();
    history.tell(name, "", "");
    attributes.remove(name);
  }

  private void administratorsOnly() {
    accounts.currentWith(Right.SETTINGS);
  }
}
