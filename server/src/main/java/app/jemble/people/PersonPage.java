package app.jemble.people;

import app.jemble.core.reach.Reach;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;

/** One person with what passed between us. */
@Service
class PersonPage {

  record Person(
      long id,
      String name,
      String kind,
      @Schema(nullable = true) String plan,
      @Schema(nullable = true) LocalDate joinedOn,
      @Schema(nullable = true) String email,
      @Schema(nullable = true) String phone,
      @Schema(nullable = true) String timeZone,
      @Schema(nullable = true) String place,
      @Schema(nullable = true) String organisation,
      List<String> tags,
      Reach reach,
      String reachWords,
      List<Happening> between) {}

  /**
   * Something that passed between us.
   *
   * @param kind SENT, or the kind of a response
   * @param mailing the name of the mailing it belongs to
   * @param messageId the message
   * @param detail what was written, clicked or said; may be empty
   */
  record Happening(String kind, String mailing, long messageId, Instant at, String detail) {}

  private final PersonPageMapper mapper;

  PersonPage(PersonPageMapper mapper) {
    this.mapper = mapper;
  }

  /** Null when there is no such person. */
  Person find(long id) {
    PersonPageMapper.PersonHead head = mapper.head(id);
    if (head == null) {
      return null;
    }
    Reach reach =
        Reach.byEmail(
            new Reach.Facts(head.email(), head.askedNot(), false, head.doNotWrite(), false, false));
    return new Person(
        head.id(),
        head.name(),
        head.kind(),
        head.plan(),
        head.joinedOn(),
        head.email(),
        head.phone(),
        head.timeZone(),
        head.place(),
        head.organisation(),
        head.tags(),
        reach,
        reach.words(),
        mapper.between(id));
  }
}
