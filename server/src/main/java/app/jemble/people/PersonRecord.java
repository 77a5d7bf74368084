package app.jemble.people;

import app.jemble.core.paper.PostalLines.Postal;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.PhoneNumber;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

/** Everything on record of a person that filters, reach and merge fields ask for. */
public record PersonRecord(
    PersonId id,
    String name,
    String kind,
    String honorific,
    String firstName,
    String lastName,
    String email,
    String phone,
    String number,
    String language,
    String timeZone,
    LocalDate birthday,
    String addressStreet,
    String addressPostcode,
    String addressPlace,
    String addressCountry,
    String ownerName,
    String ownerEmail,
    String pictureKey,
    String organisationName,
    List<String> tags,
    String source,
    String stage,
    Instant lastVisitAt,
    Instant createdAt,
    boolean askedNot,
    boolean appInstalled,
    int appLinkNumber,
    boolean doNotWrite,
    String attributes,
    String plan,
    String status,
    LocalDate joinedOn,
    LocalDate renewsOn,
    BigDecimal duesOwed,
    String currency) {

  /** Where this person is reached on a channel; null when nothing is on record. */
  public String address(Channel channel) {
    return switch (channel) {
      case EMAIL -> email == null ? null : email.strip();
      case TEXT -> phone == null ? null : PhoneNumber.dialled(phone);
      case APP -> appInstalled ? Address.Device.of(id.value()).stored() : null;
      case POST -> postal().isWhole() ? postal().stored() : null;
    };
  }

  private Postal postal() {
    return new Postal(
        part(addressStreet), part(addressPostcode), part(addressPlace), part(addressCountry));
  }

  private static String part(String onRecord) {
    return onRecord == null ? "" : onRecord;
  }
}
