package app.jemble.exchange;

import app.jemble.core.exchange.TextEncoding;
import app.jemble.core.record.FullName;
import ezvcard.VCard;
import ezvcard.VCardVersion;
import ezvcard.io.text.VCardReader;
import ezvcard.io.text.VCardWriter;
import ezvcard.parameter.TelephoneType;
import ezvcard.property.Address;
import ezvcard.property.Birthday;
import ezvcard.property.Email;
import ezvcard.property.StructuredName;
import ezvcard.property.Telephone;
import ezvcard.property.VCardProperty;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PushbackInputStream;
import java.io.Reader;
import java.io.Writer;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.temporal.Temporal;
import java.util.Arrays;
import java.util.Comparator;
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
  static void read(Path path, Charset encoding, RowSink rows) throws Exception {
    try (Reader in = new InputStreamReader(new Unfolded(path), encoding);
        VCardReader cards = new VCardReader(in, VCardVersion.V3_0)) {
      int number = 1;
      for (VCard card = cards.readNext(); card != null; card = cards.readNext()) {
        rows.row(number++, row(card));
      }
    }
  }

  /** In which letters a file of cards is written. */
  static Charset encoding(Path path) throws IOException {
    TextEncoding encoding = new TextEncoding();
    byte[] piece = new byte[1 << 16];
    try (InputStream in = new Unfolded(path)) {
      for (int n = in.read(piece, 0, piece.length); n > 0; n = in.read(piece, 0, piece.length)) {
        encoding.feed(piece, n);
      }
    }
    return encoding.found();
  }

  /**
   * The octets of a file with folded lines joined: some programs fold within a character (RFC 6350
   * section 3.2), so that it must be done before letters are read.
   */
  private static final class Unfolded extends PushbackInputStream {
    Unfolded(Path path) throws IOException {
      super(new BufferedInputStream(Files.newInputStream(path)), 3);
    }

    @Override
    public int read() throws IOException {
      while (true) {
        int octet = super.read();
        if (octet != '\r' && octet != '\n') {
          return octet;
        }
        int next = octet == '\r' ? super.read() : '\n';
        if (next != '\n') {
          putBack(next);
          return octet;
        }
        int after = super.read();
        if (after != ' ' && after != '\t') {
          putBack(after);
          if (octet == '\r') {
            unread('\n');
          }
          return octet;
        }
      }
    }

    private void putBack(int octet) throws IOException {
      if (octet >= 0) {
        unread(octet);
      }
    }

    @Override
    public int read(byte[] to, int offset, int length) throws IOException {
      int count = 0;
      while (count < length) {
        int octet = read();
        if (octet < 0) {
          return count == 0 ? -1 : count;
        }
        to[offset + count++] = (byte) octet;
      }
      return count;
    }
  }

  private static List<String> row(VCard card) {
    StructuredName name = card.getStructuredName();
    String formatted =
        card.getFormattedName() == null ? "" : text(card.getFormattedName().getValue());
    // A card without a parted name has it in one piece.
    FullName parted = name == null ? FullName.of(formatted) : null;
    Address address = preferred(card.getAddresses());
    Email email = preferred(card.getEmails());
    Set<String> tags = new TreeSet<>();
    if (card.getCategories() != null) {
      tags.addAll(card.getCategories().getValues());
    }
    return Arrays.asList(
        name == null ? "" : String.join(" ", name.getPrefixes()),
        name == null ? parted.first() : text(name.getGiven()),
        name == null ? parted.last() : text(name.getFamily()),
        email == null ? "" : text(email.getValue()),
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

  /** The one that is said to be preferred, else a mobile number; others as they come. */
  private static String phone(VCard card) {
    Telephone said = preferred(card.getTelephoneNumbers());
    if (said == null || rank(said) < UNRANKED) {
      return said == null ? "" : number(said);
    }
    return card.getTelephoneNumbers().stream()
        .filter(phone -> phone.getTypes().contains(TelephoneType.CELL))
        .findFirst()
        .map(VcardFile::number)
        .orElseGet(() -> number(said));
  }

  private static final int UNRANKED = 101;

  /** By PREF (RFC 6350 section 5.3), or as vCard 3 says it (RFC 2426 section 3.2.1). */
  private static <T extends VCardProperty> T preferred(List<T> all) {
    return all.stream().min(Comparator.comparing(VcardFile::rank)).orElse(null);
  }

  private static int rank(VCardProperty property) {
    try {
      Integer pref = property.getParameters().getPref();
      if (pref != null) {
        return pref;
      }
    } catch (IllegalStateException notANumber) {
      return UNRANKED;
    }
    boolean said =
        property.getParameters().getTypes().stream().anyMatch(t -> t.equalsIgnoreCase("pref"));
    return said ? 0 : UNRANKED;
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
      writer = new VCardWriter(new FoldedLines(out), version);
      // Folded below by octets; the library counts letters.
      writer.getVObjectWriter().getFoldedLineWriter().setLineLength(null);
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
