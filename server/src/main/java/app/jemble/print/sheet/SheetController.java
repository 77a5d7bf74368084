package app.jemble.print.sheet;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.core.paper.ShippedSheets;
import app.jemble.problem.Problem;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.ObjectMapper;

/** Sheets of labels, and what is kept to print on them again. */
@RestController
@RequestMapping("/api")
class SheetController {

  private static final int LONGEST_NAME = 200;

  /**
   * A sheet to choose.
   *
   * @param id null for one that ships
   */
  record SheetOffered(@Schema(nullable = true) Long id, SheetBody sheet) {}

  /** What is printed and how, under a name. */
  record LabelTemplate(long id, String name, DesignBody design) {}

  record NewLabelTemplate(@NotNull String name, @NotNull @Valid DesignBody design) {}

  private final SheetMapper mapper;
  private final AccountService accounts;
  private final ObjectMapper json;
  private final Clock clock;

  SheetController(SheetMapper mapper, AccountService accounts, ObjectMapper json, Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.json = json;
    this.clock = clock;
  }

  /** Those that ship, then the house's own. */
  @Needs(Right.SEE)
  @GetMapping("/sheets")
  List<SheetOffered> sheets() {
    return Stream.concat(
            ShippedSheets.ALL.stream().map(sheet -> new SheetOffered(null, SheetBody.of(sheet))),
            mapper.sheets().stream()
                .map(s -> new SheetOffered(s.id(), json.readValue(s.layout(), SheetBody.class))))
        .toList();
  }

  @Needs(Right.PRINT)
  @PostMapping("/sheets")
  SheetOffered addSheet(@RequestBody @Valid SheetBody body) {
    SheetBody sheet = SheetBody.of(body.sound());
    long by = accounts.currentWriter().id();
    return new SheetOffered(
        mapper.addSheet(json.writeValueAsString(sheet), clock.instant(), by), sheet);
  }

  /** Runs that are printed on it keep their own. */
  @Needs(Right.PRINT)
  @DeleteMapping("/sheets/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeSheet(@PathVariable long id) {
    if (mapper.removeSheet(id) == 0) {
      throw Problem.notFound("There is no such sheet.");
    }
  }

  @Needs(Right.SEE)
  @GetMapping("/label-templates")
  List<LabelTemplate> labelTemplates() {
    return mapper.templates().stream()
        .map(t -> new LabelTemplate(t.id(), t.name(), json.readValue(t.design(), DesignBody.class)))
        .toList();
  }

  @Needs(Right.PRINT)
  @PostMapping("/label-templates")
  LabelTemplate keep(@RequestBody @Valid NewLabelTemplate body) {
    String name = body.name().strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw Problem.wrong("name", "Give it a name of at most 200 characters.");
    }
    DesignBody design = DesignBody.of(body.design().sound());
    long by = accounts.currentWriter().id();
    long id = mapper.keepTemplate(name, json.writeValueAsString(design), clock.instant(), by);
    return new LabelTemplate(id, name, design);
  }

  @Needs(Right.PRINT)
  @DeleteMapping("/label-templates/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeTemplate(@PathVariable long id) {
    if (mapper.removeTemplate(id) == 0) {
      throw Problem.notFound("There is no such label template.");
    }
  }
}
