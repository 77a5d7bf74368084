package app.jemble.core.message;

import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Letters of Tern Quay Boatyard, made ready for trials. */
final class Letters {

  static final Letterhead HOUSE =
      new Letterhead(
          "#1f474b",
          "#ffffff",
          "#f4f1e9",
          "#ffffff",
          "#24271f",
          "#1f474b",
          Letterhead.Typeface.SERIF,
          Optional.empty(),
          "<p>{{workspace.name}}</p>",
          "<p>{{workspace.address}}</p>");

  private static final Map<String, FieldValue> AROUND =
      Map.of(
          "workspace.name", FieldValue.text("Tern Quay Boatyard"),
          "workspace.address", FieldValue.text("1 Quay Road, Lowen Quay"),
          "sender.name", FieldValue.text("Orla Finch"));

  /** What is counted. */
  record Counting(boolean opens, boolean clicks) {}

  private Letters() {}

  static LetterText text(String subject, String body, Counting counting) {
    return text(subject, body, Optional.of(HOUSE), counting.clicks(), true);
  }

  static LetterText text(
      String subject, String body, Optional<Letterhead> head, boolean clicks, boolean leaving) {
    LetterText.Prepared prepared =
        LetterText.prepare(
            new LetterText.Written(subject, body),
            new LetterText.Style(head, "<p>{{sender.name}}</p>", Locale.UK, clicks, leaving),
            YardFields.standard());
    return prepared.text().orElseThrow(() -> new AssertionError(prepared.toString()));
  }

  static MessageComposer.Shared shared(LetterText text, Counting counting) {
    return new MessageComposer.Shared(
        text,
        new Mailbox("Orla Finch", "orla@quay.example"),
        Optional.empty(),
        ZoneId.of("Europe/London"),
        "https://jemble.example",
        "quay.example",
        new MessageComposer.Counting(counting.opens()),
        true,
        Pictures.NONE,
        List.of());
  }

  /** A person's values with those of the house and the sender. */
  static Values with(Map<String, FieldValue> person) {
    Map<String, FieldValue> all = new HashMap<>(AROUND);
    all.putAll(person);
    return Values.of(all);
  }
}
