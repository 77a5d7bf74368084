package app.jemble.request;

import app.jemble.filter.FilterBody;
import app.jemble.problem.Problem;
import io.swagger.v3.oas.annotations.media.Schema;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.List;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/**
 * What the description of the API says is always there must be there: a part of a request that is
 * missing is named, before anybody works with the rest.
 */
@RestControllerAdvice
class WholeBodies extends RequestBodyAdviceAdapter {

  @Override
  public boolean supports(
      MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
    return true;
  }

  @Override
  public Object afterBodyRead(
      Object body,
      HttpInputMessage message,
      MethodParameter parameter,
      Type type,
      Class<? extends HttpMessageConverter<?>> converter) {
    mustBeWhole(body, "");
    return body;
  }

  private static void mustBeWhole(Object value, String path) {
    if (value instanceof List<?> list) {
      for (int i = 0; i < list.size(); i++) {
        mustBeWhole(list.get(i), path.isEmpty() ? "" + i : path + "." + i);
      }
    } else if (value instanceof Record record && isOurs(record.getClass())) {
      for (RecordComponent component : record.getClass().getRecordComponents()) {
        Object part = part(record, component);
        String at = path.isEmpty() ? component.getName() : path + "." + component.getName();
        if (part == null && !mayBeMissing(component)) {
          throw Problem.wrong(at, "“" + at + "” is missing.");
        }
        mustBeWhole(part, at);
      }
    }
  }

  /** A filter reads itself, with sentences of its own. */
  private static boolean isOurs(Class<?> type) {
    return type.isRecord()
        && type.getName().startsWith("app.jemble.")
        && type != FilterBody.class
        && type.getEnclosingClass() != FilterBody.class;
  }

  private static boolean mayBeMissing(RecordComponent component) {
    Schema schema = component.getAccessor().getAnnotation(Schema.class);
    Schema own = component.getAnnotation(Schema.class);
    return (schema != null && schema.nullable()) || (own != null && own.nullable());
  }

  private static Object part(Record record, RecordComponent component) {
    try {
      component.getAccessor().setAccessible(true);
      return component.getAccessor().invoke(record);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException("a component of a record cannot be read", e);
    }
  }
}
