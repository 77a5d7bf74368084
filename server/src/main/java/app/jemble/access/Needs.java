package app.jemble.access;

import app.jemble.core.access.Right;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The right that an operation needs. An operation of the API that names none is not served. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Needs {
  Right value();

  /** Whether it is served to whoever owes the house something first, to set up a second factor. */
  boolean first() default false;

  /**
   * Whether what it is about stays as it is: something is made from it. Else it is changed by
   * whatever needs more than the right to look.
   */
  boolean fromIt() default false;
}
