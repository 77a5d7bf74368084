package app.jemble.core.message;

import java.util.Optional;

/** The pictures on record, by key. */
@FunctionalInterface
public interface Pictures {

  Pictures NONE = key -> Optional.empty();

  Optional<InlinePicture.Stored> find(String key);
}
