package app.jemble.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Who may do what: every role, every right, and what it is about (domain rules, section 11). */
public class AccessTest {

  private static final long ME = 7;
  private static final long OTHER = 8;

  /** A second writing of the table, role by role. */
  private static final Map<Role, Set<Right>> MAY =
      Map.of(
          Role.ADMINISTRATOR,
          Set.of(Right.NONE, Right.SEE, Right.WRITE, Right.EXPORT, Right.ADMINISTER),
          Role.COORDINATOR,
          Set.of(Right.NONE, Right.SEE, Right.WRITE, Right.EXPORT),
          Role.REPRESENTATIVE,
          Set.of(Right.NONE, Right.SEE, Right.WRITE, Right.EXPORT),
          Role.READER,
          Set.of(Right.NONE, Right.SEE));

  @DataProvider
  public Object[][] all() {
    Object[][] rows = new Object[Role.values().length * Right.values().length][];
    int row = 0;
    for (Role role : Role.values()) {
      for (Right right : Right.values()) {
        rows[row++] = new Object[] {role, right};
      }
    }
    return rows;
  }

  @Test(dataProvider = "all")
  public void aRoleMayWhatItsRightsSay(Role role, Right right) {
    Decision decision = Access.decide(new Asker(ME, role), right);
    assertThat(decision.isYes()).isEqualTo(MAY.get(role).contains(right));
    if (decision instanceof Decision.No no) {
      assertThat(no.sentence()).as("whom to ask").containsIgnoringCase("ask");
    }
  }

  @Test(dataProvider = "all")
  public void whatIsPrivateIsUnknownToAllOthersAndNobodysRoleOpensIt(Role role, Right right) {
    Asker me = new Asker(ME, role);
    boolean may = MAY.get(role).contains(right);
    assertThat(Access.decide(me, right, new About.Owned(ME, true)).isYes()).isEqualTo(may);
    assertThat(Access.decide(me, right, new About.Owned(OTHER, false)).isYes()).isEqualTo(may);
    Decision others = Access.decide(me, right, new About.Owned(OTHER, true));
    assertThat(others)
        .isInstanceOf(may ? Decision.Unknown.class : Decision.No.class)
        .isNotInstanceOf(Decision.Yes.class);
  }

  /** A refusal for the lack of a right says nothing of whether the thing is there. */
  @Test
  public void aRefusalIsTheSameForWhatIsThereAndWhatIsNot() {
    Asker reader = new Asker(ME, Role.READER);
    assertThat(Access.decide(reader, Right.WRITE, new About.Owned(OTHER, true)))
        .isEqualTo(Access.decide(reader, Right.WRITE));
  }

  @Test(dataProvider = "all")
  public void anActIsTakenBackByWhoeverDidItOrAnAdministrator(Role role, Right right) {
    Asker me = new Asker(ME, role);
    boolean may = MAY.get(role).contains(right);
    assertThat(Access.decide(me, right, new About.Done(ME)).isYes()).isEqualTo(may);
    assertThat(Access.decide(me, right, new About.Done(OTHER)).isYes())
        .isEqualTo(may && role == Role.ADMINISTRATOR);
    assertThat(Access.decide(me, right, new About.Done(null)).isYes())
        .as("what software did")
        .isFalse();
  }
}
