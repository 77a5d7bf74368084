package app.jemble.request;

import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.AnnotationsUtils;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.Schema;
import java.util.Iterator;
import java.util.Map;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Ids with a type of their own are plain numbers in JSON, and say in its description whose. */
@Configuration
class PlainIds {

  /** Each with the format by which its description tells it from other numbers. */
  private static final Map<Class<?>, String> FORMATS =
      Map.of(PersonId.class, "person-id", MessageId.class, "message-id");

  static {
    FORMATS.keySet().forEach(SpringDocUtils.getConfig()::addSimpleTypesForParameterObject);
  }

  @Bean
  JsonMapperBuilderCustomizer idsAsNumbers() {
    return mapper -> FORMATS.keySet().forEach(id -> mapper.addMixIn(id, PlainNumber.class));
  }

  private abstract static class PlainNumber {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    PlainNumber(long value) {}

    @JsonValue
    abstract long value();
  }

  @Bean
  ModelConverter idsDescribed() {
    return PlainIds::described;
  }

  private static Schema<?> described(
      AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> others) {
    if (!others.hasNext()) {
      return null;
    }
    JavaType of = Json.mapper().constructType(type.getType());
    String format = of == null ? null : FORMATS.get(of.getRawClass());
    if (format == null) {
      return others.next().resolve(type, context, others);
    }
    // The type itself stays as it is: by it answers are remembered, and it is no plain number.
    AnnotatedType number =
        new AnnotatedType(Long.class)
            .ctxAnnotations(type.getCtxAnnotations())
            .propertyName(type.getPropertyName())
            .schemaProperty(type.isSchemaProperty());
    Schema<?> described = others.next().resolve(number, context, others);
    return AnnotationsUtils.clone(described, true).format(format);
  }
}
