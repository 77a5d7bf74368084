package app.jemble.card;

import app.jemble.core.card.CardWords;
import java.util.List;

/**
 * A card as it is made.
 *
 * @param picture the name of one that ships, such as hills; or the key of one of the house's own
 * @param words with merge fields, in the order in which they are read
 */
public record CardBody(String picture, List<PlacedWords> words) {

  /** Words and their place, as core draws them; shares of the picture's width and height. */
  public record PlacedWords(
      String text,
      double left,
      double top,
      double width,
      double height,
      int size,
      String colour,
      CardWords.Align align) {

    CardWords placed() {
      return new CardWords(text, left, top, width, height, size, colour, align);
    }
  }

  public CardBody {
    words = words == null ? List.of() : List.copyOf(words);
  }
}
