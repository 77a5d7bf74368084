package app.jemble.leaving;

import app.jemble.core.signup.ReaderLanguage;
import app.jemble.leaving.LeavingService.Choices;
import app.jemble.page.PageWords;
import app.jemble.page.PublicPages;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The leaving page, in the house's look and the reader's language; it needs no script. */
@Component
public class LeavingPage {

  /** What stands above; a line beneath explains it. */
  public enum Title {
    ASKING("leaveAsk"),
    CHOSEN("leaveChosen"),
    LEFT("leaveLeft");

    private final String words;

    Title(String words) {
      this.words = words;
    }
  }

  /** What the page shows. */
  public record Shown(
      String language, String title, String line, Map<String, String> words, Choices choices) {}

  private final PublicPages pages;

  LeavingPage(PublicPages pages) {
    this.pages = pages;
  }

  String html(Title title, Choices choices) {
    ReaderLanguage language = ReaderLanguage.of(choices.language()).orElse(ReaderLanguage.EN);
    Map<String, String> words = PageWords.of(language);
    return pages.html(
        "leaving.ftlh",
        new Shown(
            language.tag(),
            words.get(title.words),
            words.get(title.words + "Line"),
            words,
            choices));
  }

  /** Where the link of a proof or a copy leads: nobody leaves by it. */
  String sample(ReaderLanguage language) {
    Map<String, String> words = PageWords.of(language);
    return pages.html(
        "sample.ftlh",
        new Shown(
            language.tag(),
            words.get("leaveSample"),
            words.get("leaveSampleLine"),
            words,
            new Choices(List.of(), false, language.tag())));
  }
}
