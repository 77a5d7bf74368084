package app.jemble.core.record;

import static app.jemble.core.record.FieldType.CHOICE;
import static app.jemble.core.record.FieldType.DAY;
import static app.jemble.core.record.FieldType.FLAG;
import static app.jemble.core.record.FieldType.INSTANT;
import static app.jemble.core.record.FieldType.INTRODUCER;
import static app.jemble.core.record.FieldType.MONEY;
import static app.jemble.core.record.FieldType.NUMBER;
import static app.jemble.core.record.FieldType.PICTURE;
import static app.jemble.core.record.FieldType.REFERENCE;
import static app.jemble.core.record.FieldType.TAGS;
import static app.jemble.core.record.FieldType.TEXT;
import static app.jemble.core.record.FieldUse.BRING_IN;
import static app.jemble.core.record.FieldUse.COLUMN;
import static app.jemble.core.record.FieldUse.EDIT;
import static app.jemble.core.record.FieldUse.FILTER;
import static app.jemble.core.record.FieldUse.MERGE;

import java.util.List;
import java.util.Set;

/** The fields that every workspace has, of people and of the records around them. */
final class StandardFields {

  private static final Set<FieldUse> ALL_USES = Set.of(FILTER, MERGE, COLUMN, EDIT);
  private static final Set<FieldUse> NOT_MERGED = Set.of(FILTER, COLUMN, EDIT);
  private static final Set<FieldUse> BROUGHT_IN = Set.of(FILTER, COLUMN, BRING_IN);
  private static final Set<FieldUse> SHOWN = Set.of(FILTER, COLUMN);
  private static final Set<FieldUse> SHOWN_AND_MERGED = Set.of(FILTER, MERGE, COLUMN);
  private static final Set<FieldUse> MERGED_ALONE = Set.of(MERGE);

  static final List<Field> PERSON =
      List.of(
          choice("kind", "Kind", NOT_MERGED, "contact", "lead", "member"),
          field("honorific", "Title", TEXT, ALL_USES),
          field("name", "Name", TEXT, Set.of(FILTER, MERGE)),
          field("first_name", "First name", TEXT, ALL_USES),
          field("last_name", "Last name", TEXT, ALL_USES),
          field("email", "E-mail", TEXT, ALL_USES),
          field("phone", "Phone", TEXT, ALL_USES),
          field("number", "Number", TEXT, ALL_USES),
          // Which plans there are is the house's own: FieldCatalogue.choosing.
          choice("plan", "Plan", ALL_USES),
          choice("status", "Membership status", ALL_USES, "active", "waiting", "lapsed"),
          // Which statuses are those of current members is the house's own.
          field("current_member", "Current member", FLAG, SHOWN),
          field("joined_on", "Joined", DAY, ALL_USES),
          field("renews_on", "Renews", DAY, ALL_USES),
          field("dues_owed", "Dues owed", MONEY, ALL_USES),
          field("last_visit", "Last visit", INSTANT, ALL_USES),
          field("created", "On record since", INSTANT, SHOWN),
          field("birthday", "Birthday", DAY, ALL_USES),
          field("tags", "Tag", TAGS, NOT_MERGED),
          field("list", "List", TAGS, SHOWN),
          choice("stage", "Stage", ALL_USES, "new", "talking", "quoted", "won", "lost"),
          field("source", "Source", TEXT, ALL_USES),
          field("introduced_by", "Introduced by", INTRODUCER, SHOWN),
          field("owner", "Owner", REFERENCE, NOT_MERGED),
          field("organisation.name", "Organisation", TEXT, ALL_USES),
          field("address.street", "Street", TEXT, ALL_USES),
          field("address.postcode", "Postcode", TEXT, ALL_USES),
          field("address.place", "Place", TEXT, ALL_USES),
          field("address.country", "Country", TEXT, ALL_USES),
          field("address.lines", "Postal address", TEXT, MERGED_ALONE),
          field("time_zone", "Time zone", TEXT, NOT_MERGED),
          field("language", "Language", TEXT, NOT_MERGED),
          field("asked_not", "Asked not to be written to", FLAG, NOT_MERGED),
          field("no_mail", "Asked for no e-mail", FLAG, BROUGHT_IN),
          field("no_texts", "Asked for no texts", FLAG, BROUGHT_IN),
          field("no_notices", "Asked for no notices", FLAG, BROUGHT_IN),
          field("topic_left", "Topic left", TAGS, SHOWN),
          field("reached_by", "Reached by", TAGS, SHOWN),
          field("app_installed", "App installed", FLAG, SHOWN),
          field("app_link", "Link for the app", TEXT, MERGED_ALONE),
          field("last_heard", "Last heard from", INSTANT, SHOWN),
          field("owner.name", "Owner's name", TEXT, MERGED_ALONE),
          field("sender.name", "Sender's name", TEXT, MERGED_ALONE),
          field("sender.title", "Sender's title", TEXT, MERGED_ALONE),
          field("sender.email", "Sender's e-mail", TEXT, MERGED_ALONE),
          field("quote.number", "Quote's number", TEXT, MERGED_ALONE),
          field("quote.title", "Quote's title", TEXT, MERGED_ALONE),
          field("quote.total", "Quote's total", MONEY, MERGED_ALONE),
          field("quote.sent_on", "Quote sent on", DAY, MERGED_ALONE),
          field("quote.valid_until", "Quote valid until", DAY, MERGED_ALONE),
          field("task.title", "Task", TEXT, MERGED_ALONE),
          field("task.due_on", "Task due on", DAY, MERGED_ALONE),
          field("event.name", "Event", TEXT, MERGED_ALONE),
          field("event.starts", "Event starts", INSTANT, MERGED_ALONE),
          field("event.place", "Event's place", TEXT, MERGED_ALONE),
          field("event.link", "Event's link", TEXT, MERGED_ALONE),
          field("sender.phone", "Sender's phone", TEXT, MERGED_ALONE),
          field("sender.picture", "Sender's picture", PICTURE, MERGED_ALONE),
          field("picture", "Picture", PICTURE, MERGED_ALONE),
          field("years", "Years on the day", NUMBER, MERGED_ALONE),
          field("card", "Card", PICTURE, MERGED_ALONE),
          field("card_words", "Words on the card", TEXT, MERGED_ALONE),
          field("leave_link", "Link to leave the list", TEXT, MERGED_ALONE),
          field("workspace.name", "House name", TEXT, MERGED_ALONE),
          field("workspace.address", "House address", TEXT, MERGED_ALONE));

  private static final List<Field> QUOTE =
      List.of(
          field("number", "Number", TEXT, SHOWN_AND_MERGED),
          field("title", "Title", TEXT, SHOWN_AND_MERGED),
          field("total", "Total", MONEY, SHOWN_AND_MERGED),
          choice("stage", "Stage", NOT_MERGED, "draft", "open", "accepted", "declined", "lapsed"),
          field("sent_on", "Sent", DAY, SHOWN_AND_MERGED),
          field("valid_until", "Valid until", DAY, SHOWN_AND_MERGED),
          field("owner", "Owner", REFERENCE, NOT_MERGED));

  private static final List<Field> TASK =
      List.of(
          field("title", "Title", TEXT, SHOWN),
          choice("kind", "Kind", SHOWN, "call", "write", "to do"),
          field("due_on", "Due", DAY, NOT_MERGED),
          field("done", "Done", FLAG, NOT_MERGED),
          field("done_at", "Done at", INSTANT, SHOWN),
          field("owner", "Owner", REFERENCE, NOT_MERGED));

  private static final List<Field> EVENT =
      List.of(
          field("name", "Name", TEXT, SHOWN),
          field("starts", "Starts", INSTANT, SHOWN),
          field("place", "Place", TEXT, SHOWN),
          choice("attendance", "Attendance", NOT_MERGED, "asked", "coming", "came", "missed"));

  private static final List<Field> OFFICE =
      List.of(
          choice("name", "Name", SHOWN),
          choice("group", "Group", SHOWN),
          field("held", "Held today", FLAG, SHOWN),
          field("body", "Body", TEXT, SHOWN),
          field("since", "Since", DAY, SHOWN),
          field("until", "Until", DAY, SHOWN));

  private static final List<Field> MESSAGE =
      List.of(
          field("mailing", "Mailing", REFERENCE, SHOWN),
          field("subject", "Subject", TEXT, SHOWN),
          field("sent", "Sent", INSTANT, SHOWN),
          field("opened", "Opened", FLAG, SHOWN),
          field("clicked", "Clicked", FLAG, SHOWN),
          field("replied", "Replied", FLAG, SHOWN),
          field("returned", "Returned", FLAG, SHOWN),
          field("left", "Left", FLAG, SHOWN));

  private StandardFields() {}

  static List<Field> of(Related kind) {
    return switch (kind) {
      case QUOTE -> QUOTE;
      case TASK -> TASK;
      case EVENT -> EVENT;
      case OFFICE -> OFFICE;
      case MESSAGE -> MESSAGE;
    };
  }

  private static Field field(String name, String label, FieldType type, Set<FieldUse> uses) {
    return new Field(name, label, type, List.of(), uses);
  }

  private static Field choice(String name, String label, Set<FieldUse> uses, String... choices) {
    return new Field(name, label, CHOICE, List.of(choices), uses);
  }
}
