package app.jemble;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Drafts as the mailing's screen of mailings writes them. */
public final class Drafts {

  private static final List<String> CHANGEABLE =
      List.of(
          "version",
          "templateId",
          "topicId",
          "letterheadId",
          "promotional",
          "voice",
          "repliesTo",
          "replyColleague",
          "private",
          "parts",
          "leftOutParts",
          "picks",
          "leftOut",
          "plan",
          "countOpens",
          "countClicks");

  private Drafts() {}

  /** What is sent to change a draft's texts, at the version it has now. */
  public static Map<String, Object> change(Api api, long id, String subject, String body) {
    JsonNode now = api.get("/api/mailings/" + id).json();
    Map<String, Object> change = new HashMap<>();
    for (String kept : CHANGEABLE) {
      change.put(kept, now.get(kept));
    }
    change.put("name", "Test mailing");
    change.put("subject", subject);
    change.put("body", body);
    return change;
  }
}
