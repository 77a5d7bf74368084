package app.jemble.filter;

import app.jemble.account.AccountService;
import app.jemble.core.filter.Filter;
import app.jemble.core.filter.FilterException;
import app.jemble.core.filter.FilterSentence;
import app.jemble.core.filter.TypedFilter;
import app.jemble.core.filter.TypedHouse;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.Related;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Reads filters as people type them, with the names that are open to who types. */
@Service
class TypedFilters {

  /**
   * What was made of what was typed.
   *
   * @param words it in words, with the names of colleagues and mailings
   * @param unknown what nothing could be made of, in order
   */
  record Read(FilterBody filter, String words, List<String> unknown) {}

  private final TypedFilterMapper mapper;
  private final KeptFilters kept;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final Clock clock;

  TypedFilters(
      TypedFilterMapper mapper,
      KeptFilters kept,
      AccountService accounts,
      WorkspaceService workspace,
      Clock clock) {
    this.mapper = mapper;
    this.kept = kept;
    this.accounts = accounts;
    this.workspace = workspace;
    this.clock = clock;
  }

  /**
   * Reads what was typed.
   *
   * @param subject what is sought: people, quotes, tasks or events
   */
  Read read(String subject, String typed) {
    Related kind = KeptFilters.kindOf(subject);
    FieldCatalogue fields = kind == null ? workspace.fields() : workspace.fields().around(kind);
    Map<String, List<TypedHouse.Named>> names = names();
    Workspace house = workspace.current();
    TypedFilter read =
        TypedFilter.read(
            typed,
            new TypedHouse(
                fields,
                kind,
                names,
                kept(subject, fields),
                new TypedHouse.Calendar(
                    LocalDate.ofInstant(clock.instant(), house.zoneId()), house.dayStyle())));
    return new Read(
        FilterBody.of(read.filter()), words(kind, read.filter(), names), read.unknown());
  }

  private Map<String, List<TypedHouse.Named>> names() {
    return mapper.names(accounts.current().id()).stream()
        .collect(
            Collectors.groupingBy(
                TypedFilterMapper.FieldName::field,
                Collectors.mapping(
                    n -> new TypedHouse.Named(n.name(), n.key()), Collectors.toList())));
  }

  private List<TypedHouse.Kept> kept(String subject, FieldCatalogue fields) {
    return kept.all(subject).stream().flatMap(k -> sound(k, fields).stream()).toList();
  }

  /** One whose field has since been taken away can no longer be named. */
  private static Optional<TypedHouse.Kept> sound(KeptFilters.Kept kept, FieldCatalogue fields) {
    try {
      return Optional.of(new TypedHouse.Kept(kept.name(), kept.filter().toFilter(fields)));
    } catch (FilterException gone) {
      return Optional.empty();
    }
  }

  private static String words(
      Related kind, Filter.Group filter, Map<String, List<TypedHouse.Named>> names) {
    FilterSentence.Naming naming =
        (field, key) ->
            names.getOrDefault(field.name(), List.of()).stream()
                .filter(n -> n.key().equals(key))
                .findFirst()
                .map(TypedHouse.Named::name)
                .orElse(null);
    return kind == null
        ? FilterSentence.of(filter, naming)
        : FilterSentence.ofRecords(kind, filter, naming);
  }
}
