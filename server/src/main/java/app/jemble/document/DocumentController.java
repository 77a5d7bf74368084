package app.jemble.document;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.message.DocumentLetter.Match;
import app.jemble.document.DocumentMapper.DocumentRow;
import app.jemble.document.DocumentMapper.UsedBy;
import app.jemble.document.DocumentService.DocumentDraft;
import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Documents that letters are made of. */
@RestController
@RequestMapping("/api/documents")
class DocumentController {

  /**
   * A document.
   *
   * @param unmatched how many of its fields stand for nothing yet
   * @param used by how many letters of mailings, steps, days and rules
   */
  record DocumentView(
      long id,
      String name,
      String label,
      String startsFrom,
      @JsonProperty("private") boolean isPrivate,
      int version,
      Instant changedAt,
      String changedBy,
      long used,
      String fileName,
      List<DocumentField> fields,
      long unmatched) {}

  /**
   * A field of a document.
   *
   * @param name the document's own
   * @param field which it stands for; null for none
   * @param otherwise what stands there when nothing is known
   */
  record DocumentField(String name, @Schema(nullable = true) String field, String otherwise) {}

  /**
   * @param added fields that the version before did not have
   * @param dropped fields that only the version before had
   */
  record PastDocument(
      int version,
      String fileName,
      List<String> added,
      List<String> dropped,
      Instant savedAt,
      String savedBy) {}

  /** Which of its fields stay as they stand, in sentences. */
  record DocumentRemarks(List<String> remarks) {}

  private final DocumentService documents;

  DocumentController(DocumentService documents) {
    this.documents = documents;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<DocumentView> all() {
    return documents.all().stream().map(this::view).toList();
  }

  private DocumentView view(DocumentRow row) {
    Map<String, Match> matches = documents.matches(row);
    List<DocumentField> fields =
        documents.fields(row).stream()
            .map(
                name -> {
                  Match match = matches.getOrDefault(name, new Match(null, ""));
                  return new DocumentField(name, match.field(), match.otherwise());
                })
            .toList();
    return new DocumentView(
        row.id(),
        row.name(),
        row.label(),
        row.startsFrom(),
        row.privateTo() != null,
        row.version(),
        row.changedAt(),
        row.changedBy(),
        row.used(),
        row.fileName(),
        fields,
        fields.stream().filter(f -> !new Match(f.field(), f.otherwise()).saysSomething()).count());
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}")
  DocumentView find(@PathVariable long id) {
    return view(documents.find(id));
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}/remarks")
  DocumentRemarks remarks(@PathVariable long id) {
    return new DocumentRemarks(documents.remarks(documents.find(id)));
  }

  /** The file is the body of the request. */
  @Needs(Right.TEMPLATES)
  @PostMapping(consumes = "application/octet-stream")
  DocumentView create(@RequestParam String name, HttpServletRequest request) throws IOException {
    return view(documents.create(name, octets(request)));
  }

  /** A little more than is taken, so that what is too large can be told. */
  private static byte[] octets(HttpServletRequest request) throws IOException {
    return request.getInputStream().readNBytes(DocumentFile.LARGEST + 1);
  }

  @Needs(Right.TEMPLATES)
  @PutMapping("/{id}")
  DocumentView save(@PathVariable long id, @RequestBody DocumentDraft draft) {
    return view(documents.save(id, draft));
  }

  /**
   * Another file as its next version.
   *
   * @param version over which it was written
   */
  @Needs(Right.TEMPLATES)
  @PostMapping(path = "/{id}/versions", consumes = "application/octet-stream")
  DocumentView replace(
      @PathVariable long id,
      @RequestParam String name,
      @RequestParam int version,
      HttpServletRequest request)
      throws IOException {
    return view(documents.replace(id, version, name, octets(request)));
  }

  /** Its file, to change it where it was written. */
  @Needs(Right.SEE)
  @GetMapping(path = "/{id}/file", produces = DocumentFile.TYPE)
  ResponseEntity<byte[]> file(
      @PathVariable long id, @RequestParam(required = false) Integer version) {
    DocumentRow row = documents.find(id);
    String name =
        ContentDisposition.attachment().filename("document-" + id + ".docx").build().toString();
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, name)
        .body(documents.file(id, version == null ? row.version() : version));
  }

  /** As it looks, each of its fields shown by its own name. */
  @Needs(Right.SEE)
  @GetMapping(path = "/{id}/shown", produces = DocumentFile.TYPE)
  byte[] shown(@PathVariable long id, @RequestParam(required = false) Integer version) {
    DocumentRow row = documents.find(id);
    return documents.shown(id, version == null ? row.version() : version);
  }

  /** What it was, the newest first, and what changed in its fields. */
  @Needs(Right.SEE)
  @GetMapping("/{id}/versions")
  List<PastDocument> versions(@PathVariable long id) {
    List<DocumentMapper.PastVersion> all = documents.versions(id);
    return IntStream.range(0, all.size())
        .mapToObj(i -> past(all.get(i), i + 1 < all.size() ? all.get(i + 1) : null))
        .toList();
  }

  private PastDocument past(DocumentMapper.PastVersion one, DocumentMapper.PastVersion before) {
    List<String> now = documents.fields(one);
    List<String> then = before == null ? now : documents.fields(before);
    return new PastDocument(
        one.version(),
        one.fileName(),
        now.stream().filter(f -> !then.contains(f)).toList(),
        then.stream().filter(f -> !now.contains(f)).toList(),
        one.savedAt(),
        one.savedBy());
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}/used")
  List<UsedBy> usedBy(@PathVariable long id) {
    return documents.usedBy(id);
  }

  @Needs(Right.TEMPLATES)
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long id) {
    documents.remove(id);
  }
}
