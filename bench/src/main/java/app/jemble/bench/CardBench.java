package app.jemble.bench;

import app.jemble.card.CardTrial;
import app.jemble.card.Cards;
import java.util.Locale;

/** Cards with the words of each person, drawn by as many hands as the machine has. */
final class CardBench {

  private static final int CARDS = 1000;

  private CardBench() {}

  static void run() throws Exception {
    try (RunningApp app = new RunningApp(1, "--jemble.smtp.port=1")) {
      CardTrial.Outcome drawn = CardTrial.draw(app.bean(Cards.class), CARDS);
      System.out.printf(Locale.ROOT, "cards.thousand: %.1f s%n", drawn.seconds());
      System.out.printf(Locale.ROOT, "cards.read_back: %d of %d%n", drawn.readBack(), CARDS);
      System.out.printf(Locale.ROOT, "cards.largest: %,d octets%n", drawn.largest());
    }
  }
}
