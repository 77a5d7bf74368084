package app.jemble.release;

import java.util.List;
import org.springframework.stereotype.Service;

/** Which records the messages of a released mailing are about, written or still to be. */
@Service
public class ReleasedRecords {

  private final ReleaseMapper mapper;

  ReleasedRecords(ReleaseMapper mapper) {
    this.mapper = mapper;
  }

  public List<Long> of(long mailingId) {
    return mapper.records(mailingId);
  }
}
