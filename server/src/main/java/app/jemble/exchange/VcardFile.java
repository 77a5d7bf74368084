package app.jemble.exchange;

import ezvcard.VCard;
import ezvcard.VCardVersion;
import ezvcard.io.text.VCardReader;
import ezvcard.io.text.VCardWriter;
import ezvcard.parameter.TelephoneType;
import ezvcard.property.Address;
import ezvcard.property.Birthday;
import ezvcard.property.StructuredName;
import ezvcard.property.Telephone;
import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.temporal.Temporal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * vCard 3.0 (RFC 2426) and 4.0 (RFC 6350), read as rows with the fields as columns, and written.
 */
final class VcardFile {

  /** The fields a card has, in the order of its row. */
  static final List<String> FIELDS =
      List.of(
          "honorific",
          "first_name",
          "last_name",
          "email",
          "phone",
          "organisation.name",
          "address.street",
          "address.postcode",
          "address.place",
          "address.country",
          "birthday",
          "language",
          "tags");

  private VcardFile() {}

  /** Each card is a row; the number of a row is that of the card. */
  static void read(Path path, RowSink rows) throws Exception {
    try (Reader in = Files.newBufferedReader(path, StandardCharsets.UTF_8);
        VCardReader cards = new VCardReader(in, VCardVersion.V3_0)) {
      int number = 1;
      for (VCard card = cards.readNext(); card != null; card = cards.readNext()) {
        rows.row(number++, row(card));
      }
    }
  }

  private static List<String> row(VCard card) {
    StructuredName name = card.getStructuredName();
    String formatted =
        card.getFormattedName() == null ? "" : text(card.getFormattedName().getValue());
    Address address = card.getAddresses().isEmpty() ? null : card.getAddresses().get(0);
    Set<String> tags = new TreeSet<>();
    if (card.getCategories() != null) {
      tags.addAll(card.getCategories().getValues());
    }
    return Arrays.asList(
        name == null ? "" : String.join(" ", name.getPrefixes()),
        name == null ? formatted : text(name.getGiven()),
        name == null ? "" : text(name.getFamily()),
        card.getEmails().isEmpty() ? "" : text(card.getEmails().get(0).getValue()),
        phone(card),
        card.getOrganization() == null || card.getOrganization().getValues().isEmpty()
            ? ""
            : card.getOrganization().getValues().get(0),
        of(address, Address::getStreetAddress),
        of(address, Address::getPostalCode),
        of(address, Address::getLocality),
        of(address, Address::getCountry),
        birthday(card.getBirthday()),
        card.getLanguages().isEmpty() ? "" : text(card.getLanguages().get(0).getValue()),
        String.join(", ", tags));
  }

  /** A mobile number first; others as they come. */
  private static String phone(VCard card) {
    return card.getTelephoneNumbers().stream()
        .sorted(
            (a, b) ->
                Boolean.compare(
                    b.getTypes().contains(TelephoneType.CELL),
                    a.getTypes().contains(TelephoneType.CELL)))
        .map(VcardFile::number)
        .findFirst()
        .orElse("");
  }

  private static String number(Telephone phone) {
    if (phone.getText() != null) {
      return phone.getText();
    }
    String extension = phone.getUri().getExtension();
    return phone.getUri().getNumber() + (extension == null ? "" : " ext. " + extension);
  }

  private static String birthday(Birthday birthday) {
    Temporal date = birthday == null ? null : birthday.getDate();
    return date instanceof LocalDate ? date.toString() : "";
  }

  private static String of(Address address, Function<Address, String> part) {
    return address == null ? "" : text(part.apply(address));
  }

  private static String text(String text) {
    return text == null ? "" : text;
  }

  /** Writes cards. */
  static final class Cards implements AutoCloseable {

    private final VCardWriter writer;

    Cards(Writer out, VCardVersion version) {
      writer = new VCardWriter(out, version);
      writer.setAddProdId(false);
    }

    /** A person's values by field name; those that are missing or null are left out. */
    void write(String fullName, Map<String, String> values) throws IOException {
      VCard card = new VCard();
      card.setFormattedName(fullName);
      StructuredName name = new StructuredName();
      name.setGiven(values.get("first_name"));
      name.setFamily(values.get("last_name"));
      if (values.get("honorific") != null) {
        name.getPrefixes().add(values.get("honorific"));
      }
      card.setStructuredName(name);
      add(values.get("email"), card::addEmail);
      add(values.get("phone"), phone -> card.addTelephoneNumber(phone, TelephoneType.CELL));
      add(values.get("organisation.name"), card::setOrganization);
      add(values.get("language"), card::addLanguage);
      add(values.get("birthday"), day -> card.setBirthday(new Birthday(LocalDate.parse(day))));
      add(values.get("tags"), tags -> card.setCategories(tags.split(", ")));
      addAddress(card, values);
      writer.write(card);
    }

    private static void addAddress(VCard card, Map<String, String> values) {
      Address address = new Address();
      address.setStreetAddress(values.get("address.street"));
      address.setPostalCode(values.get("address.postcode"));
      address.setLocality(values.get("address.place"));
      address.setCountry(values.get("address.country"));
      if (address.getStreetAddress() != null || address.getLocality() != null) {
        card.addAddress(address);
      }
    }

    private static void add(String value, Consumer<String> to) {
      if (value != null) {
        to.accept(value);
      }
    }

    @Override
    public void close() throws IOException {
      writer.close();
    }
  }
}
