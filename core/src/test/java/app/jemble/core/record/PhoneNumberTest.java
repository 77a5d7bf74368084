package app.jemble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberFormat;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberType;
import com.google.i18n.phonenumbers.Phonenumber;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The example numbers of every region that libphonenumber ships, and numbers kept for fiction. */
public class PhoneNumberTest {

  @DataProvider
  public Object[][] regions() {
    return PhoneNumberUtil.getInstance().getSupportedRegions().stream()
        .sorted()
        .map(r -> new Object[] {r})
        .toArray(Object[][]::new);
  }

  @Test(dataProvider = "regions")
  public void theExampleNumbersOfARegionAreRead(String region) {
    PhoneNumberUtil numbers = PhoneNumberUtil.getInstance();
    for (PhoneNumberType type : PhoneNumberType.values()) {
      Phonenumber.PhoneNumber example = numbers.getExampleNumberForType(region, type);
      // A few example numbers can be called by the neighbours alone; those are none.
      boolean everywhere =
          example != null
              && numbers.isPossibleNumberWithReason(example)
                  == PhoneNumberUtil.ValidationResult.IS_POSSIBLE;
      if (everywhere) {
        String international = numbers.format(example, PhoneNumberFormat.INTERNATIONAL);
        String national = numbers.format(example, PhoneNumberFormat.NATIONAL);
        assertThat(PhoneNumber.international(international, "GB")).contains(international);
        assertThat(PhoneNumber.international(national, region))
            .as("%s %s: %s", region, type, national)
            .contains(international);
      }
    }
  }

  @Test
  public void numbersKeptForFictionAreTaken() {
    // Ofcom: 07700 900000 to 900999 for drama use
    assertThat(PhoneNumber.international("07700 900123", "GB")).contains("+44 7700 900123");
    assertThat(PhoneNumber.international("0044 (0)7700-900123", "GB")).contains("+44 7700 900123");
    // North American Numbering Plan: 555-0100 to 555-0199
    assertThat(PhoneNumber.international("(902) 555-0123", "CA")).contains("+1 902-555-0123");
  }

  @Test
  public void whatIsNoNumberIsNotTaken() {
    for (String wrong : new String[] {"", "ask Bea", "12", "+999 123 456 789", "1".repeat(40)}) {
      assertThat(PhoneNumber.international(wrong, "GB")).as(wrong).isEmpty();
    }
  }
}
