package app.jemble.privacy;

import app.jemble.core.reach.Channel;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldUse;
import app.jemble.exchange.PersonCard;
import app.jemble.page.PublicPages;
import app.jemble.paper.PlainPdf;
import app.jemble.privacy.HeldMapper.CameRow;
import app.jemble.privacy.HeldMapper.SentRow;
import app.jemble.privacy.HeldOfPerson.Held;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/**
 * Writes what is held of a person as one file (ZIP): all of it as JSON, a card (vCard 4, RFC 6350),
 * each message as it went or came, and a summary to read (PDF).
 */
@Component
class HeldFile {

  private final HeldMapper mapper;
  private final WorkspaceService workspace;
  private final PublicPages pages;
  private final ObjectMapper json;
  private final Clock clock;

  HeldFile(
      HeldMapper mapper,
      WorkspaceService workspace,
      PublicPages pages,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.pages = pages;
    this.json = json;
    this.clock = clock;
  }

  void write(Held held, OutputStream out) throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
      Workspace house = workspace.current();
      put(zip, "summary.pdf", PlainPdf.of(summary(held, house)));
      put(zip, "record.json", record(held));
      put(
          zip,
          "card.vcf",
          PersonCard.of(held.name(), values(held)).getBytes(StandardCharsets.UTF_8));
      for (SentRow sent : held.sent()) {
        put(zip, "sent/" + sent.id() + ending(sent.channel()), octets(mapper.copy(sent.id())));
      }
      for (CameRow came : held.came()) {
        put(zip, "came/" + came.id() + ending(came.channel()), octets(mapper.mail(came.id())));
      }
    }
  }

  /** What was withdrawn or taken away meanwhile is empty. */
  private static byte[] octets(HeldMapper.Octets kept) {
    return kept == null ? new byte[0] : kept.mime();
  }

  private static void put(ZipOutputStream zip, String name, byte[] octets) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(octets);
    zip.closeEntry();
  }

  /** A mail is kept as it was (RFC 5322); texts and notices are words. */
  private static String ending(Channel channel) {
    return channel == Channel.EMAIL || channel == Channel.POST ? ".eml" : ".txt";
  }

  private byte[] record(Held held) {
    return json.writerWithDefaultPrettyPrinter().writeValueAsBytes(held.record());
  }

  /** By field name, as text; what is empty is left out. */
  private Map<String, String> values(Held held) {
    JsonNode person = held.record().get("person").get(0);
    Map<String, String> values = new HashMap<>();
    for (Field field : workspace.fields().all(FieldUse.EDIT)) {
      String column = field.name().replace('.', '_');
      JsonNode value = person.path("attributes").path(field.name());
      if (value.isMissingNode()) {
        value = person.path(column);
      }
      String text = text(value);
      if (!text.isBlank()) {
        values.put(field.name(), text);
      }
    }
    return values;
  }

  private static String text(JsonNode value) {
    if (value.isArray()) {
      return value.valueStream().map(HeldFile::text).collect(Collectors.joining(", "));
    }
    return value.isNull() ? "" : value.asString("");
  }

  private String summary(Held held, Workspace house) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), house.zoneId());
    return pages.html(
        "held.ftlh",
        HeldSummary.of(
            held, workspace.fields().all(FieldUse.EDIT), values(held), today, house.zoneId()));
  }
}
