package app.jemble.core.house;

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
 */
public record HouseFacts(
    String name,
    String address,
    String zone,
    String language,
    String mailDomain,
    String email,
    int holdSeconds) {}
