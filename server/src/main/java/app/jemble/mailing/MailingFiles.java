package app.jemble.mailing;

import app.jemble.account.AccountService;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.message.AttachedFile;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.mailing.MailingFileMapper.FileRow;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.function.Supplier;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Files that travel with every message of a mailing, the list of recipients among them. */
@Service
public class MailingFiles {

  /** All files of a message together: mail servers commonly refuse more than 25 MB, encoded. */
  public static final int MOST_OCTETS = 10 * 1024 * 1024;

  static final int MOST_FILES = 20;

  private static final String RECIPIENTS_TYPE = "text/plain; charset=utf-8";
  private static final String RECIPIENTS_NAME = "recipients.txt";

  /**
   * A file.
   *
   * @param name template text
   * @param size in octets; 0 for the list of recipients, which is made at release
   */
  public record MailingFile(long id, String name, String type, int size, boolean recipients) {}

  private final MailingFileMapper mapper;
  private final MailingService mailings;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  MailingFiles(
      MailingFileMapper mapper,
      MailingService mailings,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.mailings = mailings;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  public List<MailingFile> all(long mailingId) {
    return mapper.all(mailingId);
  }

  /** Attaches a file; a problem when it and the others are too large for mail. */
  @Transactional
  void add(long mailingId, String name, String type, InputStream in) throws IOException {
    long by = accounts.currentWriter().id();
    mailings.lockDraft(mailingId);
    List<MailingFile> others = all(mailingId);
    if (others.size() >= MOST_FILES) {
      throw Problem.wrong("file", "A message carries at most 20 files.");
    }
    int room = MOST_OCTETS - others.stream().mapToInt(MailingFile::size).sum();
    byte[] octets = in.readNBytes(room + 1);
    if (octets.length > room) {
      throw Problem.wrong(
          "file",
          "“"
              + name
              + "” does not fit: the files of a message hold at most 10 MB together. Put it where"
              + " people can fetch it, and link to it.");
    }
    if (octets.length == 0) {
      throw Problem.wrong("file", "“" + name + "” is empty.");
    }
    mapper.add(
        mailingId,
        new FileRow(soundName(name), soundType(type), false, octets),
        octets.length,
        clock.instant(),
        by);
  }

  /** Attaches the list of those who get the message: their names, never their addresses. */
  @Transactional
  void addRecipients(long mailingId) {
    long by = accounts.currentWriter().id();
    mailings.lockDraft(mailingId);
    if (all(mailingId).stream().noneMatch(MailingFile::recipients)) {
      mapper.add(
          mailingId,
          new FileRow(RECIPIENTS_NAME, RECIPIENTS_TYPE, true, null),
          0,
          clock.instant(),
          by);
    }
  }

  @Transactional
  void rename(long mailingId, long id, String name) {
    accounts.currentWriter();
    mailings.lockDraft(mailingId);
    mapper.rename(mailingId, id, soundName(name));
  }

  @Transactional
  void remove(long mailingId, long id) {
    accounts.currentWriter();
    mailings.lockDraft(mailingId);
    mapper.remove(mailingId, id);
  }

  /** The files of one mailing for another that begins from it. */
  public void copy(long from, long to) {
    mapper.copy(from, to);
  }

  /** Writes the list of recipients, where one is attached. */
  public void fillRecipients(long mailingId, List<String> names) {
    byte[] octets = listed(names);
    mapper.fillRecipients(mailingId, octets, octets.length);
  }

  public void emptyRecipients(long mailingId) {
    mapper.fillRecipients(mailingId, null, 0);
  }

  private static byte[] listed(List<String> names) {
    return (String.join("\r\n", names) + "\r\n").getBytes(StandardCharsets.UTF_8);
  }

  /**
   * The files as messages carry them.
   *
   * @param recipients asked where the list of recipients is not made yet
   */
  public List<AttachedFile.Named> attached(
      long mailingId, FieldCatalogue fields, Supplier<List<String>> recipients) {
    return mapper.files(mailingId).stream()
        .map(
            f ->
                new AttachedFile.Named(
                    TemplateParser.parse(f.name(), TemplateParser.Kind.HEADER, fields)
                        .template()
                        .orElseThrow(),
                    f.type(),
                    f.octets() == null ? listed(recipients.get()) : f.octets()))
        .toList();
  }

  private String soundName(String name) {
    String sound = name == null ? "" : name.strip();
    if (sound.isEmpty() || sound.length() > 200) {
      throw Problem.wrong("name", "A file's name has 1 to 200 letters.");
    }
    TemplateParser.parse(sound, TemplateParser.Kind.HEADER, workspace.fields()).errors().stream()
        .findFirst()
        .ifPresent(
            e -> {
              throw Problem.wrong("name", e.sentence());
            });
    return sound;
  }

  /** What the browser says it is; anything it does not know is octets. */
  private static String soundType(String type) {
    try {
      MediaType given = MediaType.parseMediaType(type == null ? "" : type);
      boolean concrete = given.isConcrete() && !given.getType().equals("multipart");
      return concrete && !given.getType().equals("message")
          ? given.getType() + "/" + given.getSubtype()
          : MediaType.APPLICATION_OCTET_STREAM_VALUE;
    } catch (InvalidMediaTypeException unknown) {
      return MediaType.APPLICATION_OCTET_STREAM_VALUE;
    }
  }
}
