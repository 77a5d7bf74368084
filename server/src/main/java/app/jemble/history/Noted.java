package app.jemble.history;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** That an operation was done stands in the history, in these words. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Noted {
  String value();

  EventKind kind() default EventKind.SETTINGS;
}
