package app.jemble.core.card;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.font.FontRenderContext;
import java.awt.font.LineBreakMeasurer;
import java.awt.font.TextLayout;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.text.AttributedString;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Draws a card: its picture with the words on it, each shrunk to fit its place. */
public final class CardDrawing {

  /** The width that sizes of letters are of. */
  public static final int WIDTH = 1200;

  private static final float SHRINK = 0.92f;

  /** Smaller letters nobody reads; below it the lines are made smaller as a whole. */
  private static final float SMALLEST = 6;

  private static final FontRenderContext CONTEXT = new FontRenderContext(null, true, true);

  private CardDrawing() {}

  /**
   * Lines as they fit into a place.
   *
   * @param scale what they are made smaller by besides their size, 1 for not at all
   */
  private record Fitted(List<TextLayout> lines, double scale) {

    double height() {
      return lines.stream().mapToDouble(CardDrawing::height).sum();
    }

    /** The widest of them, with what leans out of its letters' places. */
    double width() {
      return lines.stream().mapToDouble(CardDrawing::width).max().orElse(0);
    }
  }

  /**
   * A card.
   *
   * @param picture stays as it is
   * @param words with their texts as they are said to one person
   */
  public static BufferedImage draw(BufferedImage picture, List<CardWords> words, CardFonts fonts) {
    int width = picture.getWidth();
    int height = picture.getHeight();
    BufferedImage card = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
    Graphics2D canvas = card.createGraphics();
    try {
      canvas.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
      canvas.setRenderingHint(
          RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
      canvas.setRenderingHint(
          RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
      canvas.setColor(Color.WHITE);
      canvas.fillRect(0, 0, width, height);
      canvas.drawImage(picture, 0, 0, null);
      for (CardWords each : words) {
        if (!each.text().isBlank()) {
          put(canvas, each, place(each, width, height), fonts, (float) width / WIDTH);
        }
      }
    } finally {
      canvas.dispose();
    }
    return card;
  }

  /** Where words stand on a picture of a size, in pixels. */
  public static Rectangle2D place(CardWords words, int width, int height) {
    return new Rectangle2D.Double(
        words.left() * width, words.top() * height, words.width() * width, words.height() * height);
  }

  private static void put(
      Graphics2D canvas, CardWords words, Rectangle2D place, CardFonts fonts, float of) {
    Fitted fitted = fit(words, place, fonts, words.size() * of);
    Graphics2D inPlace = (Graphics2D) canvas.create();
    try {
      inPlace.setColor(Color.decode(words.colour()));
      double free = place.getHeight() - fitted.height() * fitted.scale();
      inPlace.translate(place.getX(), place.getY() + free / 2);
      inPlace.scale(fitted.scale(), fitted.scale());
      double room = place.getWidth() / fitted.scale();
      float y = 0;
      for (TextLayout line : fitted.lines()) {
        double beside = room - width(line);
        double x =
            switch (words.align()) {
              case LEFT -> 0;
              case CENTRE -> beside / 2;
              case RIGHT -> beside;
            };
        y += line.getAscent();
        line.draw(inPlace, (float) (x - leansLeft(line)), y);
        y += line.getDescent() + line.getLeading();
      }
    } finally {
      inPlace.dispose();
    }
  }

  private static Fitted fit(CardWords words, Rectangle2D place, CardFonts fonts, float wanted) {
    for (float size = wanted; size >= SMALLEST; size *= SHRINK) {
      Optional<List<TextLayout>> lines = lines(words.text(), place.getWidth(), fonts, size, true);
      if (lines.isPresent()) {
        Fitted fitted = new Fitted(lines.get(), 1);
        if (fitted.height() <= place.getHeight() && fitted.width() <= place.getWidth()) {
          return fitted;
        }
      }
    }
    // A word as long as a book: all of it, in small.
    Fitted all =
        new Fitted(lines(words.text(), place.getWidth(), fonts, SMALLEST, false).orElseThrow(), 1);
    double scale =
        Math.min(1, Math.min(place.getHeight() / all.height(), place.getWidth() / all.width()));
    return new Fitted(all.lines(), scale);
  }

  /** Broken between words; empty when a word is too wide and none may be broken. */
  private static Optional<List<TextLayout>> lines(
      String text, double width, CardFonts fonts, float size, boolean wholeWords) {
    List<TextLayout> lines = new ArrayList<>();
    for (String paragraph : text.strip().split("\\R")) {
      String line = paragraph.isBlank() ? " " : paragraph.strip();
      AttributedString styled = fonts.styled(line, size);
      LineBreakMeasurer measurer = new LineBreakMeasurer(styled.getIterator(), CONTEXT);
      while (measurer.getPosition() < line.length()) {
        TextLayout next = measurer.nextLayout((float) width, line.length(), wholeWords);
        if (next == null) {
          return Optional.empty();
        }
        lines.add(next);
      }
    }
    return Optional.of(lines);
  }

  private static double height(TextLayout line) {
    return line.getAscent() + line.getDescent() + line.getLeading();
  }

  private static double width(TextLayout line) {
    Rectangle2D seen = line.getBounds();
    return Math.max(line.getVisibleAdvance(), seen.getMaxX()) + leansLeft(line) * -1;
  }

  /** How far the first letter reaches before its place; at most 0. */
  private static double leansLeft(TextLayout line) {
    return Math.min(0, line.getBounds().getX());
  }
}
