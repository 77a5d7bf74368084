package app.jemble.core.signup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.reach.Channel;
import app.jemble.core.record.DayOrder;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldReader;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.FieldValue;
import app.jemble.core.signup.SignUpForm.Asked;
import app.jemble.core.signup.SignUpForm.Fault;
import app.jemble.core.signup.SignUpForm.Reading;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.Test;

/** What somebody types on a page that anybody can open. */
public class SignUpFormTest {

  private static final FieldReader READER =
      new FieldReader(ZoneId.of("Europe/London"), "GB", "GBP", DayOrder.DAY_FIRST);
  private static final Field PARTNER =
      new Field(
          "partner_number",
          "Partner's number",
          FieldType.TEXT,
          List.of(),
          Set.of(FieldUse.EDIT, FieldUse.MERGE));

  private static Field field(String name) {
    return FieldCatalogue.standard().find(name).orElseThrow();
  }

  private static final SignUpForm FORM =
      new SignUpForm(
          List.of(
              new Asked(field("first_name"), true),
              new Asked(field("birthday"), false),
              new Asked(PARTNER, false)));

  private static Reading read(String... namesAndValues) {
    Map<String, String> given = new java.util.HashMap<>();
    for (int i = 0; i < namesAndValues.length; i += 2) {
      given.put(namesAndValues[i], namesAndValues[i + 1]);
    }
    return FORM.read(given, READER);
  }

  @Test
  public void whatIsAskedIsReadAndNothingElse() {
    Reading reading =
        read(
            "email",
            " bea@quay.example ",
            "first_name",
            "Bea",
            "birthday",
            "1990-11-27",
            "partner_number",
            "P-0042",
            "owner",
            "orla",
            "tags",
            "board");
    assertThat(reading.isGood()).isTrue();
    assertThat(reading.address()).isEqualTo("bea@quay.example");
    assertThat(reading.values())
        .containsOnly(
            Map.entry("first_name", new FieldValue.Text("Bea")),
            Map.entry("birthday", new FieldValue.Day(LocalDate.of(1990, 11, 27))),
            Map.entry("partner_number", new FieldValue.Text("P-0042")));
  }

  @Test
  public void eachFaultIsNamedAtItsField() {
    Reading reading =
        read(
            "email",
            "bea@quay",
            "first_name",
            "  ",
            "birthday",
            "soon",
            "partner_number",
            "9".repeat(501));
    assertThat(reading.faults())
        .containsOnly(
            Map.entry("email", Fault.NO_ADDRESS),
            Map.entry("first_name", Fault.MISSING),
            Map.entry("birthday", Fault.NOT_READ),
            Map.entry("partner_number", Fault.TOO_LONG));
    assertThat(read().faults()).containsEntry("email", Fault.MISSING);
  }

  @Test
  public void aLineBreakInAnAddressIsNoAddress() {
    assertThat(
            read("email", "bea@quay.example\r\nBcc: all@quay.example", "first_name", "B").faults())
        .containsEntry("email", Fault.NO_ADDRESS);
    assertThat(read("email", "bea@quay.example", "first_name", "B\0").faults())
        .containsEntry("first_name", Fault.NOT_READ);
  }

  @Test
  public void whatTheHouseSaysOfPeopleIsNotAsked() {
    List<String> not =
        List.of("owner", "kind", "stage", "tags", "asked_not", "plan", "number", "email", "list");
    assertThat(not).allSatisfy(name -> assertThat(SignUpForm.mayAsk(field(name))).isFalse());
    assertThat(List.of("first_name", "birthday", "organisation.name", "address.place", "phone"))
        .allSatisfy(name -> assertThat(SignUpForm.mayAsk(field(name))).isTrue());
    assertThat(SignUpForm.mayAsk(PARTNER)).isTrue();
  }

  @Test
  public void emptyFieldsAreFilledAndWhatDiffersWaits() {
    FieldValue day = new FieldValue.Day(LocalDate.of(1990, 11, 27));
    SaidAndKept both =
        SaidAndKept.of(
            Map.of(
                "first_name",
                new FieldValue.Text("bea  "),
                "last_name",
                new FieldValue.Text("Okonjo"),
                "birthday",
                day,
                "phone",
                new FieldValue.Text("+44 7700 900001")),
            Map.of(
                "first_name",
                new FieldValue.Text("Bea"),
                "last_name",
                new FieldValue.Text("Okonyo"),
                "phone",
                FieldValue.EMPTY));
    assertThat(both.fills()).containsOnlyKeys("birthday", "phone");
    assertThat(both.differs()).containsOnlyKeys("last_name");
  }

  @Test
  public void aTextNeedsThePhone() {
    assertThat(SignUpForm.asksEnoughFor(Channel.TEXT, Set.of("phone"))).isTrue();
    assertThat(SignUpForm.asksEnoughFor(Channel.TEXT, Set.of("first_name"))).isFalse();
    assertThat(SignUpForm.asksEnoughFor(Channel.APP, Set.of())).isTrue();
    assertThat(SignUpForm.OFFERED).doesNotContain(Channel.EMAIL, Channel.POST);
  }
}
