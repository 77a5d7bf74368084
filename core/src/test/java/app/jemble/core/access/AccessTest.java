package app.jemble.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Who may do what: random roles, every right, and what it is about (domain rules, section 11). */
public class AccessTest {

  private static final long ME = 7;
  private static final long OTHER = 8;
  private static final int ROLES = 200;

  /** A second writing of what rests on what, as a list of pairs. */
  private static final List<Right[]> RESTS =
      List.of(
          new Right[] {Right.IMPORT, Right.CHANGE_PEOPLE},
          new Right[] {Right.WRITE_TO_MANY, Right.WRITE_TO_ONE},
          new Right[] {Right.CHANGE_PEOPLE, Right.WORK},
          new Right[] {Right.WRITE_TO_ONE, Right.WORK},
          new Right[] {Right.TEMPLATES, Right.WORK},
          new Right[] {Right.SERIES, Right.WORK},
          new Right[] {Right.SIGN_UPS, Right.WORK},
          new Right[] {Right.PRINT, Right.WORK},
          new Right[] {Right.OUTBOX, Right.WORK},
          new Right[] {Right.SETTINGS, Right.WORK},
          new Right[] {Right.COLLEAGUES, Right.WORK});

  private static Set<Right> whole(Set<Right> wanted) {
    EnumSet<Right> whole = EnumSet.of(Right.NONE, Right.SEE);
    whole.addAll(wanted);
    RESTS.stream().filter(pair -> whole.contains(pair[0])).forEach(pair -> whole.add(pair[1]));
    return whole;
  }

  private static Role role(Set<Right> rights, Role.Limits limits) {
    return new Role(1, "Harbour hand", rights, limits);
  }

  private static Role role(Right... rights) {
    return role(Set.of(rights), Role.Limits.NONE);
  }

  private static Role limited(Integer mostAtOnce, Integer nodAbove, Integer mostRows) {
    return role(
        Set.of(Right.WRITE_TO_MANY, Right.EXPORT),
        new Role.Limits(mostAtOnce, nodAbove, null, null, null, null, mostRows, false));
  }

  @DataProvider
  public Object[][] wantedRights() {
    Random random = new Random(20);
    Object[][] rows = new Object[ROLES][];
    for (int i = 0; i < ROLES; i++) {
      Set<Right> wanted = EnumSet.noneOf(Right.class);
      for (Right right : Right.values()) {
        if (right.isGiven() && random.nextInt(ROLES) < i) {
          wanted.add(right);
        }
      }
      rows[i] = new Object[] {wanted};
    }
    return rows;
  }

  @Test(dataProvider = "wantedRights")
  public void aRoleMayWhatItsRightsSayAndWhatTheyRestOn(Set<Right> wanted) {
    Set<Right> may = whole(wanted);
    Asker me = new Asker(ME, role(wanted, Role.Limits.NONE));
    for (Right right : Right.values()) {
      Decision decision = Access.decide(me, right);
      assertThat(decision.isYes()).as(right.name()).isEqualTo(may.contains(right));
      if (decision instanceof Decision.No no) {
        assertThat(no.sentence(List.of("Wilma Strand", "Ole Berg")))
            .startsWith("Your role, Harbour hand, may not ")
            .endsWith(" Ask Wilma Strand or Ole Berg.");
        assertThat(no.sentence(List.of())).endsWith(" Ask an administrator.");
      }
    }
  }

  @Test(dataProvider = "wantedRights")
  public void whatIsPrivateIsUnknownToAllOthersAndTheRestToWhoSeesOnlyTheirOwn(Set<Right> wanted) {
    Asker me = new Asker(ME, role(wanted, Role.Limits.NONE));
    for (Right right : Right.values()) {
      boolean may = whole(wanted).contains(right);
      assertThat(Access.decide(me, right, new About.Owned(ME, true)).isYes()).isEqualTo(may);
      assertThat(Access.decide(me, right, new About.Owned(OTHER, false)).isYes())
          .isEqualTo(may && wanted.contains(Right.MAILINGS_OF_OTHERS));
      assertThat(Access.decide(me, right, new About.Owned(OTHER, true)))
          .isInstanceOf(may ? Decision.Unknown.class : Decision.No.class);
    }
  }

  /** A refusal for the lack of a right says nothing of whether the thing is there. */
  @Test
  public void aRefusalIsTheSameForWhatIsThereAndWhatIsNot() {
    Asker reader = new Asker(ME, role());
    assertThat(Access.decide(reader, Right.WORK, new About.Owned(OTHER, true)))
        .isEqualTo(Access.decide(reader, Right.WORK));
  }

  @Test
  public void anActIsTakenBackByWhoeverDidItOrWhoLooksAfterColleagues() {
    Asker worker = new Asker(ME, role(Right.WORK));
    Asker administrator = new Asker(ME, role(Right.COLLEAGUES));
    assertThat(Access.decide(worker, Right.WORK, new About.Done(ME)).isYes()).isTrue();
    assertThat(Access.decide(worker, Right.WORK, new About.Done(OTHER)).isYes()).isFalse();
    assertThat(Access.decide(administrator, Right.WORK, new About.Done(OTHER)).isYes()).isTrue();
    assertThat(Access.decide(administrator, Right.WORK, new About.Done(null)).isYes())
        .as("what software did")
        .isFalse();
  }

  @Test
  public void aLimitIsSaidWithTheFiguresAndWhatOneCanDo() {
    Asker me = new Asker(ME, limited(200, null, 1000));
    assertThat(Access.write(me, 200).isYes()).isTrue();
    assertThat(Access.write(me, 417)).isInstanceOf(Decision.No.class);
    Decision.No no = (Decision.No) Access.write(me, 417);
    assertThat(no.most()).isEqualTo(200);
    assertThat(no.sentence(List.of("Wilma Strand")))
        .isEqualTo(
            "You may write to 200 at once; these are 417."
                + " Ask Wilma Strand, or take the first 200.");
    assertThat(Access.decide(me, Right.EXPORT, new About.People(1000)).isYes()).isTrue();
    assertThat(Access.decide(me, Right.EXPORT, new About.People(1001)))
        .isEqualTo(new Decision.No("You may take out 1,000 people in one file; these are 1,001."));
  }

  @Test
  public void oneIsWrittenToByAnotherRightThanMany() {
    Asker one = new Asker(ME, role(Right.WRITE_TO_ONE));
    assertThat(Access.write(one, 1).isYes()).isTrue();
    assertThat(Access.write(one, 2)).isInstanceOf(Decision.No.class);
    assertThat(Access.write(new Asker(ME, role(Right.WORK)), 1)).isInstanceOf(Decision.No.class);
  }

  /** For every pair of roles and every number. */
  @Test
  public void aNodIsAskedForAboveItsNumberAndGivenByWhoeverNeedsNone() {
    List<Role> roles = new ArrayList<>(List.of(role(), role(Right.WRITE_TO_ONE)));
    roles.add(limited(null, null, null));
    roles.add(limited(50, null, null));
    roles.add(limited(null, 10, null));
    roles.add(limited(40, 20, null));
    for (Role role : roles) {
      for (int people = 1; people <= 60; people++) {
        boolean many = role.has(Right.WRITE_TO_MANY);
        Integer above = role.limits().nodAbove();
        Integer most = role.limits().mostAtOnce();
        boolean within = many && (most == null || people <= most);
        boolean nod = within && people > 1 && above != null && people > above;
        Decision decision = Access.write(new Asker(ME, role), people);
        assertThat(decision instanceof Decision.WithNod).isEqualTo(nod);
        boolean alone = people == 1 ? role.has(Right.WRITE_TO_ONE) : within && !nod;
        assertThat(decision.isYes()).isEqualTo(alone);
        assertThat(Access.nod(new Asker(ME, role), OTHER, people).isYes()).isEqualTo(alone);
        assertThat(Access.nod(new Asker(ME, role), ME, people).isYes())
            .as("one\u2019s own")
            .isFalse();
      }
    }
  }

  @Test
  public void limitsThatMakeNoSenseAreRefused() {
    assertThat(RoleRule.faultOf(limited(200, 100, 1))).isEmpty();
    assertThat(fault(limited(0, null, null))).isEqualTo("mostAtOnce");
    assertThat(fault(limited(100, 100, null))).isEqualTo("nodAbove");
    assertThat(fault(limited(null, -1, null))).isEqualTo("nodAbove");
    assertThat(fault(limited(null, null, 0))).isEqualTo("mostRows");
    assertThat(fault(new Role(1, " ", Set.of(), Role.Limits.NONE))).isEqualTo("name");
    assertThat(fault(new Role(1, "x".repeat(41), Set.of(), Role.Limits.NONE))).isEqualTo("name");
  }

  private static Role ownPeople(Right... rights) {
    return role(Set.of(rights), new Role.Limits(null, null, null, null, null, null, null, true));
  }

  @Test
  public void whosePeopleSomebodySeesIsSaidByTheirRole() {
    assertThat(Access.onlyPeopleOf(new Asker(ME, ownPeople(Right.WORK)))).contains(ME);
    assertThat(Access.onlyPeopleOf(new Asker(ME, role(Right.WORK)))).isEmpty();
  }

  @Test
  public void whatOthersWriteToMoreThanTheirOwnTheyLookAtOnly() {
    Asker own =
        new Asker(ME, ownPeople(Right.MAILINGS_OF_OTHERS, Right.WRITE_TO_MANY, Right.SERIES));
    About others = new About.Owned(OTHER, false);
    assertThat(Access.decide(own, Right.SEE, others).isYes()).isTrue();
    for (Right right : List.of(Right.WRITE_TO_ONE, Right.WRITE_TO_MANY, Right.SERIES)) {
      assertThat(Access.decide(own, right, others)).isInstanceOf(Decision.No.class);
      assertThat(Access.decide(own, right, new About.Owned(ME, false)).isYes()).isTrue();
      assertThat(Access.decide(own, right, new About.Owned(OTHER, true)))
          .isInstanceOf(Decision.Unknown.class);
    }
  }

  @Test
  public void whoeverSeesAPartNodsToNothingAndSetsNothingUp() {
    Asker own = new Asker(ME, ownPeople(Right.WRITE_TO_MANY));
    assertThat(Access.write(own, 10).isYes()).isTrue();
    assertThat(Access.nod(own, OTHER, 10)).isInstanceOf(Decision.No.class);
    assertThat(RoleRule.faultOf(ownPeople(Right.OUTBOX, Right.EXPORT))).isEmpty();
    assertThat(fault(ownPeople(Right.SETTINGS))).isEqualTo("ownPeople");
    assertThat(fault(ownPeople(Right.COLLEAGUES))).isEqualTo("ownPeople");
  }

  private static String fault(Role role) {
    return RoleRule.faultOf(role).orElseThrow().field();
  }
}
