package app.jemble.leaving;

import app.jemble.core.message.Letterhead;
import app.jemble.leaving.LeavingService.Choice;
import app.jemble.leaving.LeavingService.Choices;
import app.jemble.letterhead.LetterheadService;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/** The leaving page, in the look of the house's first letterhead; it needs no script. */
@Component
class LeavingPage {

  /** What stands above, and a line that explains it. */
  record Title(String words, String line) {}

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

  private final LetterheadService letterheads;
  private final WorkspaceService workspace;

  LeavingPage(LetterheadService letterheads, WorkspaceService workspace) {
    this.letterheads = letterheads;
    this.workspace = workspace;
  }

  String html(Title title, Choices choices) {
    Workspace house = workspace.current();
    Letterhead look = letterheads.of(letterheads.first()).orElseThrow();
    String topics =
        choices.topics().stream()
            .map(topic -> topic(topic, choices.nothing()))
            .collect(Collectors.joining());
    String nothing =
        choices.nothing()
            ? "<p class=\"note\">You have asked for no mail at all. Ticking a topic and saving"
                + " takes that back.</p>"
            : "";
    return String.format(
        Locale.ROOT,
        """
        <!DOCTYPE html>
        <html lang="en"><head><meta charset="utf-8"><title>%1$s</title>
        <meta name="viewport" content="width=device-width, initial-scale=1">
        <meta name="robots" content="noindex">
        <style>%2$s</style></head>
        <body><header>%3$s%4$s</header><main><h1>%1$s</h1><p>%5$s</p>%6$s
        <form method="post"><fieldset><legend>Mail from %4$s about</legend>%7$s</fieldset>
        <p class="buttons"><button name="choice" value="topics">Save my choice</button>
        <button name="choice" value="nothing" class="quiet">No mail at all</button></p></form>
        </main><footer>%4$s · %8$s</footer></body></html>
        """,
        title.words(),
        style(look),
        look.logo().map(key -> "<img src=\"/pictures/" + key + "\" alt=\"\">").orElse(""),
        HtmlUtils.htmlEscape(house.name()),
        title.line(),
        nothing,
        topics,
        HtmlUtils.htmlEscape(house.postalAddress()));
  }

  private static String topic(Choice topic, boolean nothing) {
    return String.format(
        Locale.ROOT,
        "<label><input type=\"checkbox\" name=\"get\" value=\"%d\"%s> %s</label>",
        topic.id(),
        topic.gets() && !nothing ? " checked" : "",
        HtmlUtils.htmlEscape(topic.name()));
  }

  private static String style(Letterhead look) {
    return String.format(
        Locale.ROOT,
        """
        body { margin: 0; min-height: 100vh; background: %1$s; color: %2$s;
               font: 17px/1.5 %3$s; display: flex; flex-direction: column }
        header { background: %4$s; color: %5$s; padding: 1.1rem 1.5rem; font-weight: bold;
                 font-size: 1.2rem; display: flex; gap: .8rem; align-items: center }
        header img { max-height: 2.6rem }
        main { box-sizing: border-box; width: min(34rem, 100%%); margin: 2.5rem auto; flex: 1;
               padding: 0 1.5rem }
        h1 { font-size: 1.6rem; line-height: 1.25; margin: 0 0 .6rem }
        fieldset { border: 0; margin: 1.4rem 0; padding: 0 } legend { padding: 0 0 .4rem }
        label { display: flex; gap: .7rem; align-items: center; padding: .7rem 0;
                border-top: 1px solid color-mix(in srgb, %2$s 18%%, transparent) }
        input { width: 1.25rem; height: 1.25rem; accent-color: %6$s; margin: 0 }
        .buttons { display: flex; flex-wrap: wrap; gap: .8rem }
        button { font: inherit; font-weight: bold; padding: .6rem 1.2rem; border-radius: 6px;
                 border: 2px solid %6$s; background: %6$s; color: #fff; cursor: pointer }
        button.quiet { background: transparent; color: %2$s; font-weight: normal }
        .note { padding-left: .8rem; border-left: 3px solid %6$s }
        footer { padding: 1.5rem; font-size: .85rem; text-align: center; opacity: .8 }
        """,
        look.paper(),
        look.ink(),
        look.typeface().family(),
        look.band(),
        look.bandInk(),
        look.accent());
  }
}
