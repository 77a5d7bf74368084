package app.jemble.document;

import app.jemble.core.document.DocumentTemplate;
import app.jemble.core.message.DocumentLetter;
import app.jemble.document.DocumentMapper.VersionRow;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.ObjectMapper;

/**
 * The documents that letters are made of, held read. A version does not change; its name may.
 * Whoever may see the letter may see what it is made of.
 */
@Component
public class DocumentsOfLetters {

  private static final int MOST_HELD = 8;
  private static final TypeReference<LinkedHashMap<String, DocumentLetter.Match>> MATCHES =
      new TypeReference<>() {};

  private final DocumentMapper mapper;
  private final ObjectMapper json;
  private final Cache<String, DocumentTemplate> held =
      Caffeine.newBuilder().maximumSize(MOST_HELD).build();

  DocumentsOfLetters(DocumentMapper mapper, ObjectMapper json) {
    this.mapper = mapper;
    this.json = json;
  }

  /** A version; none where there is none. */
  public Optional<DocumentLetter.Source> of(long id, int version) {
    VersionRow row = mapper.version(id, version);
    if (row == null) {
      return Optional.empty();
    }
    Map<String, DocumentLetter.Match> matches = json.readValue(row.matches(), MATCHES);
    return Optional.of(new DocumentLetter.Source(row.name(), template(row.hash()), matches));
  }

  private DocumentTemplate template(String hash) {
    return held.get(
        hash, key -> DocumentTemplate.read(DocumentFile.unpack(mapper.file(key).get(0))));
  }
}
