package app.jemble.signup;

import app.jemble.core.reach.Channel;
import app.jemble.core.signup.ReaderLanguage;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * A sign-up page as it is wanted.
 *
 * @param key what stands in its public address
 * @param asks what is asked besides the address, in order
 * @param topics that the reader can tick
 * @param ways beside e-mail that the reader can tick
 * @param words in each language the house has written, the main one first
 * @param kind of people who are new: contact, lead or member
 * @param source what stands as the source of people who are new; null for the page's name
 * @param tag that whoever confirms gets; null for none
 * @param owner the colleague who looks after people who are new; null for nobody
 * @param series which whoever confirms comes into; null for none
 * @param tell the colleague who is told of each; null for nobody
 */
public record SignUpPageBody(
    String name,
    String key,
    boolean open,
    List<AskedField> asks,
    List<Long> topics,
    List<Channel> ways,
    List<WrittenWords> words,
    String kind,
    @Schema(nullable = true) String source,
    @Schema(nullable = true) String tag,
    @Schema(nullable = true) Long owner,
    @Schema(nullable = true) Long series,
    @Schema(nullable = true) Long tell,
    int version) {

  /** A field that is asked. */
  public record AskedField(String field, boolean required) {}

  /** What the house says in one language. */
  public record WrittenWords(ReaderLanguage language, SignUpWords words) {}

  public SignUpPageBody {
    asks = asks == null ? List.of() : List.copyOf(asks);
    topics = topics == null ? List.of() : List.copyOf(topics);
    ways = ways == null ? List.of() : List.copyOf(ways);
    words = words == null ? List.of() : List.copyOf(words);
  }
}
