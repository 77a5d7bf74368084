package app.jemble.mailing;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The files that travel with a mailing's messages; each answer is all of them. */
@RestController
@RequestMapping("/api/mailings/{id}/files")
class FileController {

  record FileName(String name) {}

  private final MailingFiles files;

  FileController(MailingFiles files) {
    this.files = files;
  }

  /** The file is the body of the request. */
  @Needs(Right.WRITE_TO_ONE)
  @PostMapping(consumes = "application/octet-stream")
  List<MailingFiles.MailingFile> add(
      @PathVariable long id,
      @RequestParam String name,
      @RequestParam(defaultValue = "") String type,
      HttpServletRequest request)
      throws IOException {
    files.add(id, name, type, request.getInputStream());
    return files.all(id);
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/recipients")
  List<MailingFiles.MailingFile> addRecipients(@PathVariable long id) {
    files.addRecipients(id);
    return files.all(id);
  }

  @Needs(Right.WRITE_TO_ONE)
  @PutMapping("/{fileId}")
  List<MailingFiles.MailingFile> rename(
      @PathVariable long id, @PathVariable long fileId, @RequestBody FileName name) {
    files.rename(id, fileId, name.name());
    return files.all(id);
  }

  @Needs(Right.WRITE_TO_ONE)
  @DeleteMapping("/{fileId}")
  List<MailingFiles.MailingFile> remove(@PathVariable long id, @PathVariable long fileId) {
    files.remove(id, fileId);
    return files.all(id);
  }
}
