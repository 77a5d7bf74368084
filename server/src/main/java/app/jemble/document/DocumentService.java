package app.jemble.document;

import app.jemble.access.AccessService;
import app.jemble.account.AccountService;
import app.jemble.core.document.DocumentRefused;
import app.jemble.core.document.DocumentTemplate;
import app.jemble.core.document.DocumentValue;
import app.jemble.core.document.Filling;
import app.jemble.core.exchange.DocumentMatch;
import app.jemble.core.message.DocumentLetter.Match;
import app.jemble.core.record.FieldUse;
import app.jemble.document.DocumentMapper.DocumentRow;
import app.jemble.document.DocumentMapper.NewVersion;
import app.jemble.document.DocumentMapper.PastVersion;
import app.jemble.document.DocumentMapper.UsedBy;
import app.jemble.document.DocumentMapper.VersionRow;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.ObjectMapper;

/** Documents: how they are kept, changed and found. */
@Service
public class DocumentService {

  /**
   * What a writer saves beside the file.
   *
   * @param matches by the document's own name of each field
   */
  public record DocumentDraft(
      String name,
      String label,
      String startsFrom,
      @JsonProperty("private") boolean isPrivate,
      Map<String, Match> matches,
      int version) {
    public DocumentDraft {
      matches = matches == null ? Map.of() : new LinkedHashMap<>(matches);
    }
  }

  private static final Set<String> BEGINNINGS = Set.of("person", "member", "quote", "event");
  private static final int LONGEST_NAME = 120;
  private static final int LONGEST_LABEL = 60;
  private static final int LONGEST_OTHERWISE = 500;
  private static final TypeReference<LinkedHashMap<String, Match>> MATCHES =
      new TypeReference<>() {};

  private final DocumentMapper mapper;
  private final AccountService accounts;
  private final AccessService access;
  private final WorkspaceService workspace;
  private final ObjectMapper json;
  private final Clock clock;

  DocumentService(
      DocumentMapper mapper,
      AccountService accounts,
      AccessService access,
      WorkspaceService workspace,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.access = access;
    this.workspace = workspace;
    this.json = json;
    this.clock = clock;
  }

  /** Those shared with all, and the asker's own. */
  List<DocumentRow> all() {
    return mapper.all(accounts.current().id());
  }

  /** A document; a problem when there is none that the asker may see. */
  DocumentRow find(long id) {
    DocumentRow row = mapper.find(id);
    if (row == null || isAnothers(row.privateTo())) {
      throw none();
    }
    return row;
  }

  private boolean isAnothers(Long privateTo) {
    return privateTo != null && !access.isOpen(privateTo, true);
  }

  private static Problem none() {
    return Problem.notFound("There is no such document any more.");
  }

  /** A problem unless a letter may be made of this version. */
  public void mustBeOpen(long id, int version) {
    find(id);
    if (mapper.version(id, version) == null) {
      throw none();
    }
  }

  /** Its name; a problem when there is none that the asker may see. */
  public String nameOf(long id) {
    return find(id).name();
  }

  /** Its newest version. */
  public int newestOf(long id) {
    return find(id).version();
  }

  List<String> fields(DocumentRow row) {
    return read(row.fields());
  }

  private List<String> read(String fields) {
    return List.of(json.readValue(fields, String[].class));
  }

  Map<String, Match> matches(DocumentRow row) {
    return json.readValue(row.matches(), MATCHES);
  }

  @Transactional
  DocumentRow create(String fileName, byte[] file) {
    long by = accounts.currentWriter().id();
    DocumentTemplate template = template(file);
    String name = freeName(fileName);
    long id = mapper.create(name, by, clock.instant());
    keep(id, 1, fileName, template, proposed(template.fields(), Map.of()));
    return find(id);
  }

  /** The file's name, or that with a number where another document has it. */
  private String freeName(String fileName) {
    String plain = fileName.replaceFirst("(?i)\\.docx$", "").strip();
    String name = plain.isEmpty() ? "Document" : shortened(plain);
    long who = accounts.current().id();
    String free = name;
    for (int i = 2; mapper.named(free, 0, who) > 0; i++) {
      free = name + " " + i;
    }
    return free;
  }

  private static String shortened(String name) {
    return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME).strip() : name;
  }

  /** Reads a file; a problem with a sentence when it is not taken. */
  private static DocumentTemplate template(byte[] file) {
    try {
      return DocumentTemplate.read(DocumentFile.unpack(file));
    } catch (DocumentRefused refused) {
      throw Problem.wrong("file", refused.getMessage());
    }
  }

  /** What the fields stood for before they stand for still. */
  private Map<String, Match> proposed(Set<String> fields, Map<String, Match> before) {
    Map<String, String> like = DocumentMatch.propose(fields, workspace.fields());
    Map<String, Match> matches = new LinkedHashMap<>();
    for (String field : fields) {
      matches.put(field, before.getOrDefault(field, new Match(like.get(field), "")));
    }
    return matches;
  }

  private void keep(
      long id,
      int version,
      String fileName,
      DocumentTemplate template,
      Map<String, Match> matches) {
    byte[] content = DocumentFile.pack(template.parts());
    String hash = hash(content);
    mapper.keepFile(hash, content);
    addVersion(
        new NewVersion(
            id,
            version,
            hash,
            shortened(fileName.replaceAll("[\\p{Cntrl}/\\\\]", "_")),
            json.writeValueAsString(template.fields()),
            json.writeValueAsString(matches)));
  }

  private void addVersion(NewVersion version) {
    mapper.addVersion(version, accounts.current().id(), clock.instant());
  }

  private static String hash(byte[] content) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  /** Saves its name and what its fields stand for: a version more with the same file. */
  @Transactional
  DocumentRow save(long id, DocumentDraft draft) {
    accounts.currentWriter();
    DocumentRow before = find(id);
    VersionRow file = mapper.version(id, before.version());
    DocumentDraft sound = sound(draft, before);
    saved(id, sound, before);
    addVersion(
        new NewVersion(
            id,
            sound.version() + 1,
            file.hash(),
            file.fileName(),
            before.fields(),
            json.writeValueAsString(sound.matches())));
    return find(id);
  }

  /**
   * Takes another file as the next version.
   *
   * @param version over which it was written
   */
  @Transactional
  DocumentRow replace(long id, int version, String fileName, byte[] file) {
    accounts.currentWriter();
    DocumentRow before = find(id);
    DocumentTemplate template = template(file);
    DocumentDraft same =
        new DocumentDraft(
            before.name(),
            before.label(),
            before.startsFrom(),
            before.privateTo() != null,
            Map.of(),
            version);
    saved(id, same, before);
    keep(id, version + 1, fileName, template, proposed(template.fields(), matches(before)));
    return find(id);
  }

  private void saved(long id, DocumentDraft draft, DocumentRow before) {
    long by = accounts.current().id();
    Long privateTo = draft.isPrivate() ? before.madeBy() : null;
    if (mapper.save(id, draft, privateTo, by, clock.instant()) == 0) {
      throw Problem.conflict(find(id).changedBy() + " changed this document in the meantime.");
    }
  }

  private DocumentDraft sound(DocumentDraft draft, DocumentRow before) {
    String name = draft.name() == null ? "" : draft.name().strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw Problem.wrong("name", "Give the document a name of at most 120 letters.");
    }
    if (mapper.named(name, before.id(), accounts.current().id()) > 0) {
      throw Problem.wrong("name", "Another document is already named “" + name + "”.");
    }
    String label = draft.label() == null ? "" : draft.label().strip();
    if (label.length() > LONGEST_LABEL) {
      throw Problem.wrong("label", "A label has at most 60 letters.");
    }
    String startsFrom = draft.startsFrom() == null ? "person" : draft.startsFrom();
    if (!BEGINNINGS.contains(startsFrom)) {
      throw Problem.wrong("startsFrom", "A document begins from a person, member, quote or event.");
    }
    if (draft.isPrivate() && before.madeBy() != accounts.current().id()) {
      throw Problem.wrong("private", "Only who brought a document in can keep it to themselves.");
    }
    return new DocumentDraft(
        name,
        label,
        startsFrom,
        draft.isPrivate(),
        sound(draft.matches(), before),
        draft.version());
  }

  /** Of the document's own fields, those that are left out stand for nothing. */
  private Map<String, Match> sound(Map<String, Match> wanted, DocumentRow before) {
    Map<String, Match> sound = new LinkedHashMap<>();
    for (String field : fields(before)) {
      Match match = wanted.getOrDefault(field, new Match(null, ""));
      if (match.field() != null
          && workspace
              .fields()
              .find(match.field())
              .filter(f -> f.allows(FieldUse.MERGE))
              .isEmpty()) {
        throw Problem.wrong("matches", "There is no field named “" + match.field() + "”.");
      }
      if (match.otherwise().length() > LONGEST_OTHERWISE) {
        throw Problem.wrong("matches", "What stands there otherwise has at most 500 letters.");
      }
      sound.put(field, match);
    }
    return sound;
  }

  /** Takes it away; letters that are made of it keep it. */
  @Transactional
  void remove(long id) {
    accounts.currentWriter();
    find(id);
    mapper.remove(id, clock.instant());
  }

  List<PastVersion> versions(long id) {
    find(id);
    return mapper.versions(id);
  }

  List<String> fields(PastVersion version) {
    return read(version.fields());
  }

  /** Its file as it was in a version. */
  byte[] file(long id, int version) {
    find(id);
    VersionRow row = mapper.version(id, version);
    if (row == null) {
      throw Problem.notFound("There is no such version of it.");
    }
    return mapper.file(row.hash()).get(0);
  }

  /** Its file as it was in a version, each field filled with its own name. */
  byte[] shown(long id, int version) {
    DocumentTemplate template = DocumentTemplate.read(DocumentFile.unpack(file(id, version)));
    Map<String, DocumentValue> names = new LinkedHashMap<>();
    template.fields().forEach(name -> names.put(name, DocumentValue.words("«" + name + "»")));
    return DocumentFile.pack(template.fill(new Filling(names, workspace.current().locale())));
  }

  List<UsedBy> usedBy(long id) {
    find(id);
    return mapper.usedBy(id, accounts.current().id());
  }

  /** What is wrong with its fields, in sentences. */
  List<String> remarks(DocumentRow row) {
    byte[] file = mapper.file(mapper.version(row.id(), row.version()).hash()).get(0);
    return DocumentTemplate.read(DocumentFile.unpack(file)).remarks();
  }
}
