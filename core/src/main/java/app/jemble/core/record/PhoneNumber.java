package app.jemble.core.record;

import com.google.i18n.phonenumbers.NumberParseException;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberFormat;
import com.google.i18n.phonenumbers.PhoneNumberUtil.ValidationResult;
import com.google.i18n.phonenumbers.Phonenumber;
import java.util.Optional;

/** Phone numbers as the world writes them (ITU-T E.164, E.123). */
public final class PhoneNumber {

  private static final PhoneNumberUtil NUMBERS = PhoneNumberUtil.getInstance();

  private PhoneNumber() {}

  /** A number as it is dialled: its digits, with the plus where it has one. */
  public static String dialled(String number) {
    return number.replaceAll("[^+0-9]", "");
  }

  /**
   * The number in international form, {@code "+44 7700 900123"}; nothing when the digits cannot be
   * a number that can be called from everywhere. Numbers that are kept for fiction are possible
   * numbers, if not assigned ones.
   *
   * @param region the country (ISO 3166-1 alpha-2) of numbers that are written without one
   */
  public static Optional<String> international(String text, String region) {
    try {
      Phonenumber.PhoneNumber number = NUMBERS.parse(text, region);
      return NUMBERS.isPossibleNumberWithReason(number) == ValidationResult.IS_POSSIBLE
          ? Optional.of(NUMBERS.format(number, PhoneNumberFormat.INTERNATIONAL))
          : Optional.empty();
    } catch (NumberParseException notANumber) {
      return Optional.empty();
    }
  }
}
