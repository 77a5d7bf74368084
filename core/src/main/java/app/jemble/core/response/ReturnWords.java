package app.jemble.core.response;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What mail servers mean by what they say in prose (common practice, from reports of many servers),
 * as an enhanced status code (RFC 3463) where they give none.
 */
final class ReturnWords {

  private static final Pattern ENHANCED =
      Pattern.compile("(?<![\\d.])([245]\\.\\d{1,3}\\.\\d{1,3})(?![\\d.])");

  private static final Pattern SMTP_FAILURE = Pattern.compile("\\b5[0-5]\\d[ -]");

  /** The first that fits is what is meant. */
  private static final List<Meaning> MEANINGS =
      List.of(
          meaning(
              "5.2.2",
              "over ?quota|quota (is |was )?(exceed|full)|exceed\\w*+ (the |its |allowed |storage "
                  + "|mailbox |mail |disk ){0,5}(quota|size of)|mailbox (is |size )?(full|exceed)"
                  + "|mailbox exceed|insufficient (disk |system )?(space|storage)|disk (is )?full"
                  + "|not enough (disk )?space|excessive (mailbox|mail)"),
          meaning(
              "4.2.1",
              "too many (messages|mails|e-?mails|recipients|connections)|rate ?-?limit|grey ?list"
                  + "|try (again|later|sending)|temporar(y|ily)|at this time|come back later"
                  + "|maximum (number of )?(messages|recipients)"),
          meaning(
              "5.7.14",
              "requires? (sender |your )?(confirmation|verification|authenticat|authoris|authoriz)"
                  + "|confirmation (is )?required"),
          meaning(
              "5.2.1",
              "(user|account|mailbox|recipient|address)[^.\\n]{0,40}"
                  + "(disabled|suspended|inactive|deactivated|closed|expired|blocked for)"
                  + "|no longer (exist|valid|active|works|with|available|employed)"),
          meaning(
              "5.1.1",
              "user unknown|unknown (user|recipient|local|account|mailbox|address|addressee)"
                  + "|no such (user|mailbox|recipient|account|person|address|local|name)"
                  + "|(user|recipient|mailbox|account|address)[^.\\n]{0,60}"
                  + "(not (found|known|listed|exist|recognized|recognised|here|registered|valid)"
                  + "|doe?s?( not|n't) (exist|have)|is (unknown|invalid)|unknown|unavailable)"
                  + "|no (user|mailbox|account|recipient)|invalid (user|recipient|address|mailbox)"
                  + "|(isn't|not|is no) (listed|in my|a (valid|user|known)|a yahoo|found in)"
                  + "|(mailbox|user|account) (unavailable|unknown)|bad (address|destination|mailbox)"
                  + "|does( not|n't) have an? (\\S+ )?account|not (known|listed) (at|in)"
                  + "|did not (\\w+ )?match|addressee unknown|couldn't find any|no matches to name"
                  + "|inconnu|non recens|desconocid|no existe|sconosciut|unbekannt|nicht bekannt"
                  + "|existiert nicht|ukjent|onbekend"),
          meaning(
              "5.1.2",
              "host (or domain )?(name )?(unknown|not found|lookup)|unknown (host|domain|mail host)"
                  + "|(domain|host)[^.\\n]{0,40}(not (found|exist)|does( not|n't) exist|unknown)"
                  + "|unrou?te?able|nameserver|no (mx|a) record|name server"),
          meaning("5.4.6", "too many hops|hop count|mail loop|loop(s|ing)? (back|detected)"),
          meaning(
              "5.3.4",
              "too (large|big|long)|(exceed|larger|greater)[^.\\n]{0,40}(size|limit|maximum)"
                  + "|size limit"),
          meaning(
              "4.4.1",
              "timed? ?-?out|connection (refused|reset|lost|dropped)|unreachable"
                  + "|could( not|n't) (connect|contact|establish|be (reached|contacted))"
                  + "|unable to (connect|contact|reach)|retry (time|timeout)|not respond"
                  + "|in the queue too long|busy"),
          meaning(
              "5.7.1",
              "spam|black ?list|blocked|polic(y|ies)|virus|relay|denied|prohibited|not allowed"
                  + "|not permitted|content|reject|refus|not authori[sz]ed|forbidden|filter"));

  private ReturnWords() {}

  private record Meaning(String code, Pattern words) {}

  private static Meaning meaning(String code, String words) {
    return new Meaning(code, Pattern.compile(words, Pattern.CASE_INSENSITIVE));
  }

  /** The code that is given; empty when none is. */
  static Optional<String> enhanced(String said) {
    Matcher enhanced = ENHANCED.matcher(said);
    while (enhanced.find()) {
      // A general code says less than the words beside it.
      if (!enhanced.group(1).endsWith(".0.0")) {
        return Optional.of(enhanced.group(1));
      }
    }
    return Optional.empty();
  }

  /** The code that words mean. */
  static Optional<String> meant(String said) {
    return MEANINGS.stream()
        .filter(m -> m.words().matcher(said).find())
        .map(Meaning::code)
        .findFirst();
  }

  /** Whether words say that something could not be delivered. */
  static boolean tellFailure(String said) {
    return FAILURE.matcher(said).find()
        || SMTP_FAILURE.matcher(said).find()
        || ENHANCED.matcher(said).find()
        || meant(said).isPresent();
  }

  private static final Pattern FAILURE =
      Pattern.compile(
          "fail(ed|ure|s)?\\b|undeliver|not (be )?(deliver|sen[dt]|accepted|reach)|could( not|n't)"
              + "|can( ?not|'t)|unable to|error|permanent|fatal|sorry|invalid|returned|non-?delivery",
          Pattern.CASE_INSENSITIVE);

  /** Whether words say that delivery is still being tried. */
  static boolean tellDelay(String said) {
    return DELAY.matcher(said).find() && !GIVEN_UP.matcher(said).find();
  }

  private static final Pattern DELAY =
      Pattern.compile(
          "(has|have) not yet been|postponed|not yet (been )?delivered|still (being )?(try|"
              + "tri|retri)|(will|shall) (continue|keep|be) (to )?(try|retri|attempt|tri)|delayed"
              + "|do(es)? not need to (resend|do anything)|no action is required"
              + "|(delivery )?attempts? (to deliver the message )?will (continue|be made)"
              + "|will retry|warning message only|temporarily (deferred|delayed)",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern GIVEN_UP =
      Pattern.compile(
          "\\b55\\d[ -]|(?<![\\d.])5\\.\\d{1,3}\\.\\d{1,3}(?![\\d.])|giv(en|ing) up|gave up|permanent(ly)? (error|fail)|will not (be )?(retr|try)"
              + "|no (further|more) (delivery )?attempts|(all|following) (delivery )?attempts? (have )?failed"
              + "|following (recipients|addresses)[^.\\n]* failed",
          Pattern.CASE_INSENSITIVE);
}
