package app.jemble.demo;

import app.jemble.core.document.DocumentTemplate;
import app.jemble.core.exchange.DocumentMatch;
import app.jemble.core.message.DocumentLetter.Match;
import app.jemble.document.DocumentFile;
import app.jemble.workspace.WorkspaceService;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/** A letter that the boatyard wrote elsewhere, with merge fields of its own. */
@Component
public class DemoDocuments {

  /** Written in LibreOffice; it lies beside this class. */
  private static final String FILE = "renewal-letter.docx";

  private final JdbcClient sql;
  private final WorkspaceService workspace;
  private final ObjectMapper json;
  private final Clock clock;

  DemoDocuments(JdbcClient sql, WorkspaceService workspace, ObjectMapper json, Clock clock) {
    this.sql = sql;
    this.workspace = workspace;
    this.json = json;
    this.clock = clock;
  }

  /** The letter as a file. */
  public static byte[] letter() {
    try (InputStream in = DemoDocuments.class.getResourceAsStream(FILE)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  void add() {
    DocumentTemplate template = DocumentTemplate.read(DocumentFile.unpack(letter()));
    Map<String, Match> matches = new LinkedHashMap<>();
    DocumentMatch.propose(template.fields(), workspace.fields())
        .forEach((own, field) -> matches.put(own, new Match(field, "")));
    sql.sql("insert into document_file (hash, content) values ('renewal', ?)")
        .param(DocumentFile.pack(template.parts()))
        .update();
    sql.sql(
            """
            with made as (
              insert into document (name, label, starts_from, made_by, changed_by, changed_at)
              select 'Renewal letter', 'Membership', 'member', id, id, ?
              from account where login = 'orla'
              returning id, made_by, changed_at)
            insert into document_version (document_id, version, hash, file_name, fields, matches,
                                          saved_at, saved_by)
            select id, 1, 'renewal', 'Renewal letter.docx', ?::jsonb, ?::jsonb, changed_at, made_by
            from made
            """)
        .params(
            Timestamp.from(clock.instant()),
            json.writeValueAsString(template.fields()),
            json.writeValueAsString(matches))
        .update();
  }
}
