package app.jemble.sending;

import app.jemble.core.pace.QuietHours;
import app.jemble.core.text.Allowance;
import app.jemble.core.text.TextPrices;
import app.jemble.core.text.TextPrices.Price;
import app.jemble.problem.Problem;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the house keeps to where phones ring: read by all, changed by administrators. */
@Service
public class PhoneRuleService {

  private static final int HOUR = 60;

  private final PhoneRulesMapper mapper;
  private final Clock clock;

  PhoneRuleService(PhoneRulesMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  public PhoneRules current() {
    PhoneRulesMapper.Stored stored = mapper.find();
    return new PhoneRules(
        new QuietHours(time(stored.quietFrom()), time(stored.quietTo())),
        stored.stopWords(),
        new TextPrices(
            mapper.prices().stream()
                .map(row -> new Price(row.prefix(), row.placeName(), row.eachPart()))
                .toList()),
        stored.mostADay(),
        stored.mostAMonth(),
        stored.version());
  }

  /** What is left of the allowances on the workspace's day and in its month. */
  public Allowance left(ZoneId house) {
    PhoneRulesMapper.Stored stored = mapper.find();
    LocalDate day = LocalDate.ofInstant(clock.instant(), house);
    return new Allowance(
        left(stored.mostADay(), day.atStartOfDay(house).toInstant()),
        left(stored.mostAMonth(), day.withDayOfMonth(1).atStartOfDay(house).toInstant()));
  }

  private BigDecimal left(BigDecimal most, Instant since) {
    return most == null ? null : most.subtract(mapper.spent(since)).max(BigDecimal.ZERO);
  }

  /** Writes them; a problem when somebody else did since they were seen. */
  @Transactional
  public void write(PhoneRules rules) {
    int written =
        mapper.write(
            new PhoneRulesMapper.Stored(
                minutes(rules.quiet().from()),
                minutes(rules.quiet().to()),
                rules.added(),
                rules.mostADay(),
                rules.mostAMonth(),
                rules.version()));
    if (written == 0) {
      throw Problem.conflict("These rules were changed elsewhere in the meantime; reload them.");
    }
    List<Price> prices = rules.prices().prices();
    mapper.removePrices();
    mapper.addPrices(
        prices.stream().map(Price::prefix).toList(),
        prices.stream().map(Price::where).toList(),
        prices.stream().map(price -> price.each().toPlainString()).toList());
  }

  private static LocalTime time(int minutes) {
    return LocalTime.of(minutes / HOUR, minutes % HOUR);
  }

  private static int minutes(LocalTime time) {
    return time.getHour() * HOUR + time.getMinute();
  }
}
