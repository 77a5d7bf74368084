package app.jemble.leaving;

import app.jemble.leaving.LeavingService.Choices;
import app.jemble.page.PublicPages;
import org.springframework.stereotype.Component;

/** The leaving page, in the house's look; it needs no script. */
@Component
public class LeavingPage {

  /** What stands above, and a line that explains it. */
  public record Title(String words, String line) {}

  static final Title ASKING =
      new Title(
          "What would you like to hear about?",
          "Take the tick away from what you do not want any more, and save.");
  static final Title CHOSEN =
      new Title("Your choice is saved", "You can change it here at any time.");
  static final Title LEFT =
      new Title(
          "You have left the list",
          "We will not write to you about this again. Should you change your mind, only you can"
              + " come back: here.");

  static final Title SAMPLE =
      new Title(
          "This is a sample",
          "You came here from a proof or a copy of a message. In the message itself this link leads"
              + " each reader to their own page, where they choose what they get, or leave."
              + " Nothing was changed.");

  /** What the page shows. */
  public record Shown(Title title, Choices choices) {}

  private final PublicPages pages;

  LeavingPage(PublicPages pages) {
    this.pages = pages;
  }

  String html(Title title, Choices choices) {
    return pages.html("leaving.ftlh", new Shown(title, choices));
  }

  /** Where the link of a proof or a copy leads: nobody leaves by it. */
  String sample() {
    return pages.html("sample.ftlh", SAMPLE);
  }
}
