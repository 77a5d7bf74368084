package app.jemble.message;

import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Values;
import app.jemble.workspace.WorkspaceService;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What each merge field would show for one person, to choose by. */
@Component
class Samples {

  private final WorkspaceService workspace;

  Samples(WorkspaceService workspace) {
    this.workspace = workspace;
  }

  /** By field name; fields without a value, and pictures, are left out. */
  Map<String, String> of(Values values, Locale language) {
    FieldCatalogue fields = workspace.fields();
    ZoneId zone = workspace.current().zoneId();
    Map<String, String> samples = new LinkedHashMap<>();
    for (Field field : fields.all(FieldUse.MERGE)) {
      if (field.type() != FieldType.PICTURE && !values.get(field.name()).isEmpty()) {
        String text = "{{" + field.name() + "}}";
        TemplateParser.parse(text, TemplateParser.Kind.PLAIN_TEXT, fields)
            .template()
            .ifPresent(
                t -> samples.put(field.name(), Renderer.render(t, values, language, zone).text()));
      }
    }
    return samples;
  }
}
