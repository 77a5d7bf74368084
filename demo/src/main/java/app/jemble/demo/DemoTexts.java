package app.jemble.demo;

import java.util.List;

/** The boatyard's templates and past mailings. */
final class DemoTexts {

  /** A template to be. */
  record Text(
      String name, String label, String startsFrom, String topic, String subject, String body) {}

  /** A past mailing: how many days ago, at which hour, by whom. */
  record Sent(String name, int daysAgo, int hour, String login, String subject, String body) {}

  static final List<String> TOPICS = List.of("Yard news", "Membership", "Kits and courses");

  private static final String SIGNED = "{{&gt; signature}}";
  private static final String DEAR = "<p>Dear {{first_name or \"friend\"}},</p>";

  static final List<Text> TEMPLATES =
      List.of(
          new Text(
              "Season opening",
              "Season",
              "member",
              "Yard news",
              "Is {{berth_name or \"your boat\"}} ready for launch, {{first_name or \"friend\"}}?",
              DEAR
                  + "<p>The slipway opens on <strong>Saturday 5 December</strong>, and we have not seen"
                  + " you on the quay since {{last_visit as \"MMMM yyyy\"}}. Your {{plan}} membership"
                  + " still covers one free haul-out this season.</p>"
                  + "{{#dues_owed}}<p>There is {{dues_owed as money}} outstanding; you can settle it at"
                  + " the desk.</p>{{/dues_owed}}<p>The <a href=\"https://ternquay.example/haul-out\">"
                  + "haul-out times</a> are on our page.</p>"
                  + "<p>Reply to this message and I will keep a place for you.</p>"
                  + SIGNED),
          new Text(
              "Gentle nudge",
              "After it is out",
              "person",
              "Yard news",
              "A word about your place on the slipway",
              DEAR
                  + "<p>I wrote to you the other day and have not heard from you. Is there anything we can"
                  + " help with?</p>"
                  + SIGNED),
          new Text(
              "Dues reminder",
              "Membership",
              "member",
              "Membership",
              "Your {{plan}} membership renews on {{renews_on as \"d MMMM\"}}",
              DEAR
                  + "<p>Your {{plan}} membership, number {{number}}, renews on {{renews_on}}."
                  + "{{#dues_owed}} {{dues_owed as money}} is still open.{{/dues_owed}}</p>"
                  + "<p><a href=\"https://ternquay.example/renew\">Renew here</a>, or come by the desk.</p>"
                  + SIGNED),
          new Text(
              "Course places",
              "Season",
              "person",
              "Kits and courses",
              "Places on the steam-bending course",
              DEAR
                  + "<p>There are places left on the steam-bending course on [day]. Members pay half.</p>"
                  + "<p><a href=\"https://ternquay.example/courses\">Book a place</a></p>"
                  + SIGNED));

  static final List<Sent> SENT =
      List.of(
          sent(
              "Autumn work party",
              84,
              9,
              "orla",
              "Hands wanted on the quay, {{first_name or \"friend\"}}"),
          sent("Kit dinghy news", 71, 10, "tomas", "The new kit dinghy is here"),
          sent("Mooring checks", 57, 8, "orla", "Your mooring check this month"),
          sent("Winter storage", 40, 9, "orla", "Winter storage for {{first_name or \"you\"}}"),
          sent(
              "Harbour supper",
              26,
              17,
              "orla",
              "Harbour supper: two places for {{first_name or \"you\"}}"),
          sent("Course places, autumn", 15, 9, "tomas", "Places on the lofting course"),
          sent("Haul-out times", 6, 9, "orla", "Haul-out times for the week"),
          sent("Slipway closed Friday", 1, 16, "orla", "The slipway is closed on Friday"));

  private DemoTexts() {}

  private static Sent sent(String name, int daysAgo, int hour, String login, String subject) {
    return new Sent(
        name,
        daysAgo,
        hour,
        login,
        subject,
        DEAR
            + "<p>A short word from the yard: all there is to know stands on <a"
            + " href=\"https://ternquay.example/news\">our page</a>. {{#plan}}As a {{plan}} member you"
            + " come first.{{/plan}}</p><p>Just reply if you want a place kept.</p>"
            + SIGNED);
  }
}
