package app.jemble.cause;

import app.jemble.access.AccessService;
import app.jemble.problem.Problem;
import org.springframework.stereotype.Component;

/**
 * The only way to a cause: as far as it is open to the colleague who asks. What is private to
 * another is to them as if it did not exist.
 */
@Component
public class OpenCauses {

  private final CauseMapper mapper;
  private final AccessService access;

  OpenCauses(CauseMapper mapper, AccessService access) {
    this.mapper = mapper;
    this.access = access;
  }

  /** A cause; a problem when there is none that the colleague may see. */
  public Cause find(long id) {
    return open(mapper.find(id));
  }

  /** The same, which nobody else changes until the transaction ends. */
  public Cause lock(long id) {
    return open(mapper.findLocked(id));
  }

  /** For work that no colleague asks for at present; a problem when there is none. */
  public Cause anybodys(long id) {
    return there(mapper.find(id));
  }

  /** As {@link #anybodys}, which nobody else changes until the transaction ends. */
  public Cause lockAnybodys(long id) {
    return there(mapper.findLocked(id));
  }

  /** The name of a cause; null when it is not open to the colleague who asks. */
  public String nameOf(long id) {
    Cause cause = mapper.find(id);
    return cause != null && access.isOpen(cause.senderId(), cause.isPrivate())
        ? cause.name()
        : null;
  }

  private Cause open(Cause cause) {
    Cause found = there(cause);
    if (!access.isOpenForWork(found.senderId(), found.isPrivate())) {
      throw gone();
    }
    return found;
  }

  private static Cause there(Cause cause) {
    if (cause == null) {
      throw gone();
    }
    return cause;
  }

  private static Problem gone() {
    return Problem.notFound("There is no such mailing any more.");
  }
}
