package app.jemble.exchange;

import ezvcard.VCardVersion;
import java.io.IOException;
import java.io.StringWriter;
import java.util.Map;

/** One person as a card (vCard 4.0, RFC 6350). */
public final class PersonCard {

  private PersonCard() {}

  /**
   * @param values by field name
   */
  public static String of(String fullName, Map<String, String> values) throws IOException {
    StringWriter card = new StringWriter();
    try (VcardFile.Cards cards = new VcardFile.Cards(card, VCardVersion.V4_0)) {
      cards.write(fullName, values);
    }
    return card.toString();
  }
}
