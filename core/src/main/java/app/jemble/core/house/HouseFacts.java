package app.jemble.core.house;

import app.jemble.core.record.DayOrder;
import java.time.DayOfWeek;

/**
 * What a house says of itself.
 *
 * @param name as readers know it
 * @param address its postal address, on one line; empty as long as nobody has said it
 * @param zone its time zone (IANA), such as Europe/London
 * @param language of what stands around messages (BCP 47), such as en-GB
 * @param mailDomain the domain of return addresses and Message-IDs
 * @param email the house's own address, where mailings may come from it; null for none
 * @param holdSeconds how long a release can be taken back
 * @param currency of amounts written without one (ISO 4217); null for that of its country
 * @param dayOrder in which days are written here; null for that of its language
 * @param weekStart on which weeks begin here; null for that of its country
 */
public record HouseFacts(
    String name,
    String address,
    String zone,
    String language,
    String mailDomain,
    String email,
    int holdSeconds,
    String currency,
    DayOrder dayOrder,
    DayOfWeek weekStart) {}
