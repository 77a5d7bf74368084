package app.jemble.inbound;

import app.jemble.account.AccountService;
import app.jemble.core.message.PublicToken;
import app.jemble.core.response.AwayNotice;
import app.jemble.core.response.InboundMail;
import app.jemble.core.response.ReplySubject;
import app.jemble.core.response.SortedMail;
import app.jemble.response.Answered;
import app.jemble.response.AnsweredMessages;
import app.jemble.workspace.WorkspaceService;
import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/**
 * Which message a mail is about. Whoever has a message of ours knows its token, and nobody else:
 * what carries it is believed. Replies without one are placed by sender and subject; returns and
 * complaints without one are for a person to place, since anybody could write them.
 */
@Component
class MessageFinder {

  private static final Pattern OUR_ID = Pattern.compile("<([A-Za-z0-9_-]{32})@[^>]+>");
  private static final Pattern RETURN_ADDRESS =
      Pattern.compile("return\\+([A-Za-z0-9_-]{32})@", Pattern.CASE_INSENSITIVE);

  /**
   * A message that was found.
   *
   * @param sure whether it is known that its person wrote: the address is theirs
   */
  record Match(Answered message, boolean sure) {}

  private final AnsweredMessages responses;
  private final AccountService accounts;
  private final WorkspaceService workspace;

  MessageFinder(AnsweredMessages responses, AccountService accounts, WorkspaceService workspace) {
    this.responses = responses;
    this.accounts = accounts;
    this.workspace = workspace;
  }

  /**
   * Whether it is a mail of the house that came back to it, which says nothing of any person: a
   * copy, a summary or the word of a rule in the mailbox that is read, and what software or a
   * colleague answers to one.
   */
  boolean isOurOwn(InboundMail mail, SortedMail sorted) {
    boolean byColleague = isColleague(sender(mail));
    Matcher itself = OUR_ID.matcher(mail.header("message-id").strip());
    if (itself.matches() && isGenuine(itself.group(1))) {
      return byColleague;
    }
    List<String> about = tokens(mail).stream().filter(this::isGenuine).toList();
    boolean ofNoMessage =
        !about.isEmpty() && about.stream().allMatch(token -> responses.byToken(token) == null);
    return ofNoMessage && (byColleague || !(sorted instanceof SortedMail.Reply));
  }

  private boolean isColleague(InternetAddress from) {
    return from != null
        && (from.getAddress().equalsIgnoreCase(workspace.current().houseEmail())
            || accounts.all().stream()
                .anyMatch(a -> a.email().equalsIgnoreCase(from.getAddress())));
  }

  private boolean isGenuine(String token) {
    return PublicToken.isGenuine(token, workspace.secret());
  }

  /** The message, or null. */
  Match search(InboundMail mail, SortedMail sorted) {
    for (String token : tokens(mail)) {
      Answered message = responses.byToken(token);
      if (message != null) {
        return new Match(message, isTheirs(message, mail));
      }
    }
    boolean byPerson = sorted instanceof SortedMail.Reply || sorted instanceof SortedMail.AutoReply;
    return byPerson ? bySenderAndSubject(mail, sorted) : null;
  }

  private boolean isTheirs(Answered message, InboundMail mail) {
    InternetAddress from = sender(mail);
    return from != null
        && (from.getAddress().equalsIgnoreCase(message.address())
            || responses.isAddressOf(message.personId(), from.getAddress()));
  }

  private static List<String> tokens(InboundMail mail) {
    List<String> tokens = new ArrayList<>();
    for (String id : SortedMail.related(mail)) {
      Matcher ours = OUR_ID.matcher(id);
      if (ours.matches()) {
        tokens.add(ours.group(1));
      }
    }
    for (String header : new String[] {"to", "delivered-to", "x-original-to"}) {
      Matcher address = RETURN_ADDRESS.matcher(mail.header(header));
      if (address.find()) {
        tokens.add(address.group(1));
      }
    }
    return tokens;
  }

  private Match bySenderAndSubject(InboundMail mail, SortedMail sorted) {
    String given = mail.header("subject");
    String subject =
        sorted instanceof SortedMail.AutoReply
            ? AwayNotice.answeredSubject(given).orElseGet(() -> ReplySubject.bare(given))
            : ReplySubject.bare(given);
    InternetAddress from = sender(mail);
    if (from == null || subject.isBlank()) {
      return null;
    }
    Answered byAddress = responses.bySenderAndSubject(from.getAddress(), subject);
    if (byAddress != null) {
      return new Match(byAddress, true);
    }
    // An encoded word within an encoded word comes out here, and may hold a NUL.
    String name = from.getPersonal() == null ? "" : from.getPersonal().replace('\0', ' ');
    Answered byName = name.contains(" ") ? responses.byNameAndSubject(name, subject) : null;
    return byName == null ? null : new Match(byName, false);
  }

  /** Who wrote, or null. */
  private static InternetAddress sender(InboundMail mail) {
    try {
      InternetAddress[] from = InternetAddress.parse(mail.header("from"), false);
      return from.length == 0 || from[0].getAddress() == null ? null : from[0];
    } catch (AddressException noSender) {
      return null;
    }
  }
}
