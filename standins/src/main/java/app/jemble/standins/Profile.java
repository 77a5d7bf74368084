package app.jemble.standins;

import java.util.Locale;
import java.util.Random;

/**
 * How a pretend reader takes a mail. Seeded by address and mail, so that the same reader is the
 * same person, and answers one mail otherwise than the next.
 *
 * @param mailbox whether mail arrives at all
 * @param scanned whether software looks through the mail within seconds
 * @param opens whether the reader opens it
 * @param clicks whether the reader follows a link
 * @param replies whether the reader writes back
 * @param away whether an out-of-office reply goes out
 * @param leaves whether the reader leaves by one click
 * @param confirms whether the reader presses the button of a mail they asked for themselves
 * @param openAfter share of a day until the reader opens it, 0 to 1
 */
record Profile(
    Mailbox mailbox,
    boolean scanned,
    boolean opens,
    boolean clicks,
    boolean replies,
    boolean away,
    boolean leaves,
    boolean confirms,
    double openAfter) {

  /** Whether mail arrives. */
  enum Mailbox {
    WORKS,
    DOES_NOT_EXIST,
    FULL
  }

  static Profile of(String address, String mailId, long seed) {
    // A person: what does not change from mail to mail.
    Random person = new Random(seed * 31 + address.toLowerCase(Locale.ROOT).hashCode());
    int box = person.nextInt(100);
    Mailbox mailbox = box == 0 ? Mailbox.DOES_NOT_EXIST : box == 1 ? Mailbox.FULL : Mailbox.WORKS;
    boolean scanned = person.nextInt(5) == 0;
    double interest = person.nextDouble();
    // A day of that person: what does.
    Random day = new Random(seed * 37 + address.hashCode() * 41L + mailId.hashCode());
    boolean away = day.nextInt(40) == 0;
    boolean opens = !away && day.nextDouble() < 0.2 + 0.6 * interest;
    boolean clicks = opens && day.nextInt(3) == 0;
    boolean replies = opens && day.nextInt(4) == 0;
    boolean leaves = opens && !replies && day.nextInt(60) == 0;
    double openAfter = Math.min(1, -Math.log(1 - day.nextDouble()) / 3);
    return new Profile(
        mailbox, scanned, opens, clicks, replies, away, leaves, day.nextInt(5) != 0, openAfter);
  }
}
