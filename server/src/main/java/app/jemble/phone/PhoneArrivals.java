package app.jemble.phone;

import app.jemble.carrier.text.TextArrivals;
import app.jemble.core.text.GivenAgain;
import java.time.Clock;
import java.time.Instant;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what comes from phones; what was kept is told to the network, and else given again. */
@Component
class PhoneArrivals implements TextArrivals {

  private final PhoneMapper mapper;
  private final Clock clock;

  PhoneArrivals(PhoneMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  @Override
  public void take(Receipt receipt) {
    mapper.keepReceipt(
        receipt.reference(), receipt.state(), readable(receipt.words()), clock.instant());
  }

  @Override
  @Transactional
  public void take(Answer answer) {
    Instant now = clock.instant();
    Place place = answer.place();
    int of = Math.max(1, place.of());
    PhoneMapper.Part part =
        new PhoneMapper.Part(
            readable(answer.from()),
            readable(answer.to()),
            place.reference(),
            Math.min(Math.max(1, place.number()), of),
            of,
            readable(answer.text()),
            now);
    mapper.lockSender(part.sender());
    if (!mapper.hasPart(part, now.minus(GivenAgain.within(of)))) {
      mapper.keepPart(part);
    }
  }

  /** No database takes a NUL. */
  private static String readable(String text) {
    return text.replace('\0', ' ');
  }
}
