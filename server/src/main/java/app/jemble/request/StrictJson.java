package app.jemble.request;

import app.jemble.problem.Readable;
import com.fasterxml.jackson.annotation.Nulls;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.KeyDeserializer;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.ext.javatime.deser.InstantDeserializer;
import tools.jackson.databind.ext.javatime.deser.LocalDateDeserializer;
import tools.jackson.databind.ext.javatime.deser.LocalDateTimeDeserializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * JSON as it is read, in one place: no text with a NUL or half a character, no list with nothing in
 * it, no day that no calendar has. How long texts and bodies may be stands in application.yml.
 */
@Configuration
public class StrictJson {

  @Bean
  JsonMapperBuilderCustomizer strict() {
    SimpleModule strict = new SimpleModule("strict");
    strict.addDeserializer(String.class, new Text());
    strict.addKeyDeserializer(String.class, new Key());
    strict.addDeserializer(
        LocalDate.class, new Dated<>(LocalDate.class, LocalDateDeserializer.INSTANCE));
    strict.addDeserializer(
        LocalDateTime.class, new Dated<>(LocalDateTime.class, LocalDateTimeDeserializer.INSTANCE));
    strict.addDeserializer(Instant.class, new Dated<>(Instant.class, InstantDeserializer.INSTANT));
    return mapper ->
        mapper
            .addModule(strict)
            .changeDefaultNullHandling(nulls -> nulls.withContentNulls(Nulls.FAIL));
  }

  private static final class Text extends StdScalarDeserializer<String> {
    Text() {
      super(String.class);
    }

    @Override
    public String deserialize(JsonParser in, DeserializationContext context)
        throws JacksonException {
      String text = in.getValueAsString();
      if (text == null) {
        return (String) context.handleUnexpectedToken(getValueType(context), in);
      }
      String wrong = Readable.wrong(text);
      return wrong == null
          ? text
          : (String) context.handleWeirdStringValue(String.class, text, wrong);
    }
  }

  private static final class Key extends KeyDeserializer {
    @Override
    public Object deserializeKey(String key, DeserializationContext context)
        throws JacksonException {
      String wrong = Readable.wrong(key);
      return wrong == null ? key : context.handleWeirdKey(String.class, key, wrong);
    }
  }

  private static final class Dated<T> extends StdScalarDeserializer<T> {
    private final transient ValueDeserializer<T> reader;

    Dated(Class<T> type, ValueDeserializer<T> reader) {
      super(type);
      this.reader = reader;
    }

    @Override
    public T deserialize(JsonParser in, DeserializationContext context) throws JacksonException {
      T read = reader.deserialize(in, context);
      if (read != null && !Readable.isOfACalendar(read)) {
        context.handleWeirdStringValue(handledType(), read.toString(), Readable.YEARS);
      }
      return read;
    }
  }
}
