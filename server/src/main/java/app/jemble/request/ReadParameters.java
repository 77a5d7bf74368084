package app.jemble.request;

import app.jemble.problem.Readable;
import java.time.Instant;
import java.time.LocalDate;
import org.springframework.core.convert.converter.Converter;
import org.springframework.format.FormatterRegistry;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Parameters in an address, read as strictly as JSON is. */
@Component
class ReadParameters implements WebMvcConfigurer {

  @Override
  public void addFormatters(FormatterRegistry formats) {
    formats.addConverter(
        String.class,
        Instant.class,
        (Converter<String, Instant>) text -> text.isBlank() ? null : dated(Instant.parse(text)));
    formats.addConverter(
        String.class,
        LocalDate.class,
        (Converter<String, LocalDate>)
            text -> text.isBlank() ? null : dated(LocalDate.parse(text)));
  }

  private static <T> T dated(T time) {
    if (!Readable.isOfACalendar(time)) {
      throw new IllegalArgumentException(Readable.YEARS);
    }
    return time;
  }
}
