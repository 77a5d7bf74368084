package app.jemble.print;

import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.consent.Consents;
import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.Template;
import app.jemble.core.merge.TemplateError;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.core.paper.Country;
import app.jemble.core.paper.LabelDesign;
import app.jemble.core.paper.PostalField;
import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Values;
import app.jemble.filter.AskedNow;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import app.jemble.people.PersonValues;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Whom a print run is for, and what stands on the label of each, in the order of printing. */
@Component
class RunPeople {

  private final PeopleService people;
  private final PersonValues personValues;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final AudienceParts parts;
  private final Consents consents;
  private final AskedNow asked;
  private final PrintMapper mapper;

  RunPeople(
      PeopleService people,
      PersonValues personValues,
      WorkspaceService workspace,
      AccountService accounts,
      AudienceParts parts,
      Consents consents,
      AskedNow asked,
      PrintMapper mapper) {
    this.people = people;
    this.personValues = personValues;
    this.workspace = workspace;
    this.accounts = accounts;
    this.parts = parts;
    this.consents = consents;
    this.asked = asked;
    this.mapper = mapper;
  }

  /** Stands for a value that is missing; no letter of any script (Unicode's private use). */
  private static final FieldValue MARK = FieldValue.text("\uE000");

  private static boolean hasMarkAndMore(String line) {
    return line.length() > 1 && line.indexOf('\uE000') >= 0;
  }

  /** Somebody who gets no label. */
  record Without(PersonId personId, String name) {}

  /**
   * Who is found.
   *
   * @param items who gets a label
   * @param without who gets none, by the first reason
   * @param errors of the lines, in sentences; while there are any nobody gets a label
   */
  record Found(List<RunItem> items, Map<Reach, List<Without>> without, List<String> errors) {
    Found {
      items = List.copyOf(items);
      errors = List.copyOf(errors);
    }
  }

  Found of(PrintRun run, LabelDesign design) {
    TemplateParser.Parsed parsed =
        TemplateParser.parse(design.lines(), Kind.PLAIN_TEXT, workspace.fields());
    Reading reading = new Reading(run, parsed.template().orElse(new Template(List.of())));
    people.eachRecord(
        parts.any(run.parts()),
        List.of(run.picks()),
        asked.by(accounts.find(run.madeBy())),
        reading::take);
    List<String> errors = parsed.errors().stream().map(TemplateError::sentence).toList();
    return new Found(reading.sorted(design), reading.without, errors);
  }

  /** One look at everyone. */
  private final class Reading {
    private final Template lines;
    private final FieldCatalogue fields = workspace.fields();
    private final Workspace house = workspace.current();
    private final Country posting = new Country(house.region());
    private final Set<PersonId> leftOut;
    private final Set<PersonId> askedNot = consents.closedOn(Channel.POST);
    private final Map<PersonId, Set<String>> cameBack = people.lettersCameBack();
    private final Map<PersonId, String> own = new HashMap<>();
    private final List<RunItem> items = new ArrayList<>();
    private final Map<Reach, List<Without>> without = new EnumMap<>(Reach.class);

    Reading(PrintRun run, Template lines) {
      this.lines = lines;
      this.leftOut = Set.of(run.leftOut());
      mapper.own(run.id()).forEach(o -> own.put(o.personId(), o.words()));
    }

    void take(PersonRecord person) {
      Reach reach = reach(person);
      if (reach == Reach.READY) {
        items.add(item(person));
      } else {
        without
            .computeIfAbsent(reach, r -> new ArrayList<>())
            .add(new Without(person.id(), person.name()));
      }
    }

    private Reach reach(PersonRecord person) {
      String address = person.address(Channel.POST);
      boolean notByPost = person.askedNot() || askedNot.contains(person.id());
      return Reach.by(
          Channel.POST,
          new Reach.Facts(address, notByPost, false, false, false, leftOut.contains(person.id())),
          address != null && cameBack.getOrDefault(person.id(), Set.of()).contains(address));
    }

    private RunItem item(PersonRecord person) {
      Values values = PostalField.over(personValues.of(person, fields), posting, house.locale());
      Renderer.Rendered rendered =
          Renderer.render(
              lines, ofHouse(values), Locale.forLanguageTag(person.language()), house.zoneId());
      String mine = own.get(person.id());
      return new RunItem(
          person.id(),
          person.name(),
          mine == null ? rendered.text() : mine,
          PostalField.of(values),
          mine != null,
          mine == null ? labels(gaps(rendered, values, person)) : Set.of(),
          null);
    }

    /** What is missing in lines that have something else: the others close up. */
    private Set<String> gaps(Renderer.Rendered rendered, Values values, PersonRecord person) {
      return rendered.missing().stream()
          .filter(
              field -> {
                Values marked = f -> f.equals(field) ? MARK : ofHouse(values).get(f);
                return Renderer.render(
                        lines, marked, Locale.forLanguageTag(person.language()), house.zoneId())
                    .text()
                    .lines()
                    .anyMatch(line -> hasMarkAndMore(line.strip()));
              })
          .collect(Collectors.toSet());
    }

    private Values ofHouse(Values person) {
      return field ->
          switch (field) {
            case "workspace.name" -> FieldValue.text(house.name());
            case "workspace.address" -> FieldValue.text(house.postalAddress());
            default -> person.get(field);
          };
    }

    private Set<String> labels(Set<String> missing) {
      return missing.stream()
          .map(field -> fields.find(field).map(Field::label).orElse(field))
          .collect(Collectors.toSet());
    }

    List<RunItem> sorted(LabelDesign design) {
      return design.order().sorted(items, RunItem::address, posting, house.locale());
    }
  }
}
