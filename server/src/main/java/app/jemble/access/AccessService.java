package app.jemble.access;

import static org.springframework.web.context.request.RequestAttributes.SCOPE_REQUEST;

import app.jemble.core.access.About;
import app.jemble.core.access.Access;
import app.jemble.core.access.Asker;
import app.jemble.core.access.Decision;
import app.jemble.core.access.Right;
import app.jemble.problem.Problem;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/** Asks core whether the colleague who is signed in may, and refuses where not. */
@Service
public class AccessService {

  private static final String WORK = AccessService.class.getName();

  private final WhoAsks who;

  AccessService(WhoAsks who) {
    this.who = who;
  }

  /** A problem when the colleague who asks has no such right. */
  public void must(Right right) {
    must(right, About.HOUSE);
  }

  /** A problem when the colleague who asks has no such right, or it does not go so far. */
  public void must(Right right, About about) {
    must(who.asker(), right, about, who::whomToAsk);
  }

  /** What somebody is told of a decision against them; empty for one that is none. */
  public Optional<String> refusal(Decision decision) {
    return decision instanceof Decision.No no
        ? Optional.of(no.sentence(who.whomToAsk()))
        : Optional.empty();
  }

  /** A problem when the colleague who asks must do something else before anything. */
  void mustOweNothing() {
    who.owes()
        .ifPresent(
            sentence -> {
              throw Problem.forbidden(sentence);
            });
  }

  /** A problem when a colleague has no such right, which names whom to ask. */
  public static void must(Asker asker, Right right, About about, Supplier<List<String>> whomToAsk) {
    if (Access.decide(asker, right, about) instanceof Decision.No no) {
      throw Problem.forbidden(no.sentence(whomToAsk.get()));
    }
  }

  /** A problem when the colleague who asks may not change what is there for everybody's people. */
  public void mustChangeForAll(long madeBy) {
    refusal(Access.changeForAll(who.asker(), madeBy))
        .ifPresent(
            sentence -> {
              throw Problem.forbidden(sentence);
            });
  }

  /** Whose people the colleague who asks sees, by id the owner of all; empty for everybody's. */
  public Optional<Long> onlyPeopleOf() {
    return Access.onlyPeopleOf(who.asker());
  }

  /** What the request that is being answered does to what it is about needs a right. */
  static void workOn(Right right) {
    RequestContextHolder.currentRequestAttributes().setAttribute(WORK, right, SCOPE_REQUEST);
  }

  private static Right work() {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    Object right = request == null ? null : request.getAttribute(WORK, SCOPE_REQUEST);
    return right == null ? Right.SEE : (Right) right;
  }

  /** Whether something is there for the colleague who asks. */
  public boolean isOpen(long ownerId, boolean isPrivate) {
    return Access.decide(who.asker(), Right.SEE, new About.Owned(ownerId, isPrivate)).isYes();
  }

  /** The same; a problem when it is, and is not theirs to do with what they are about to do. */
  public boolean isOpenForWork(long ownerId, boolean isPrivate) {
    Decision decision = Access.decide(who.asker(), work(), new About.Owned(ownerId, isPrivate));
    refusal(decision)
        .ifPresent(
            sentence -> {
              throw Problem.forbidden(sentence);
            });
    return decision.isYes();
  }
}
