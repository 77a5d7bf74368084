package app.jemble.carrier.text;

import app.jemble.core.text.ReceiptState;

/**
 * Takes what comes back from phones. It is told before the message centre is answered: what it
 * throws makes the centre give it again.
 */
public interface TextArrivals {

  /**
   * The network says what became of a part.
   *
   * @param reference what the message centre called the part when it took it
   * @param to the number it went to, E.164
   */
  record Receipt(String reference, String to, ReceiptState state, String words) {}

  /**
   * Where a part stands in what somebody wrote.
   *
   * @param reference the same for all parts of one text, of one phone
   * @param number from 1 on
   */
  record Place(int reference, int number, int of) {
    static final Place ALONE = new Place(0, 1, 1);
  }

  /**
   * Somebody wrote, or a part of it.
   *
   * @param from their number, E.164
   * @param to the number that they wrote to
   */
  record Answer(String from, String to, String text, Place place) {}

  void take(Receipt receipt);

  void take(Answer answer);
}
