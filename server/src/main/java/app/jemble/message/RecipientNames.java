package app.jemble.message;

import app.jemble.cause.Cause;
import java.util.List;

/** The names of those who would get a mailing, were it released now. */
public interface RecipientNames {

  List<String> names(Cause mailing);
}
