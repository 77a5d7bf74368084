package app.jemble.request;

import io.swagger.v3.oas.models.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How the API describes itself at /v3/api-docs, from which the web's types are made. */
@Configuration
class ApiDescription {

  /** Records always carry every component; what may be absent is nullable instead. */
  @Bean
  OpenApiCustomizer everyPropertyIsPresent() {
    return api -> {
      api.getInfo().title("Jemble").version("1");
      api.setServers(null);
      api.getComponents().getSchemas().values().forEach(ApiDescription::requireAll);
    };
  }

  private static void requireAll(Schema<?> schema) {
    @SuppressWarnings("rawtypes")
    Map<String, Schema> properties = schema.getProperties();
    if (properties != null) {
      schema.setRequired(List.copyOf(properties.keySet()));
      properties.replaceAll((name, property) -> nullBesideReference(property));
    }
  }

  /** A reference that may be null: OpenAPI 3.1 wants that said beside the reference, not on it. */
  private static Schema<?> nullBesideReference(Schema<?> property) {
    boolean nullable = property.getTypes() != null && property.getTypes().contains("null");
    return property.get$ref() != null && nullable
        ? new Schema<>()
            .anyOf(
                List.of(
                    new Schema<>().$ref(property.get$ref()), new Schema<>().types(Set.of("null"))))
        : property;
  }
}
