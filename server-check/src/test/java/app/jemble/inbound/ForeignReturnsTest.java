package app.jemble.inbound;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.response.MailSorter;
import app.jemble.core.response.SortedMail;
import jakarta.mail.MessagingException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.testng.SkipException;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * Returns of real mail servers, and what is right for each, as collected in flufl.bounce 4.0
 * (Debian's package python3-flufl.bounce, LGPL-3). They are fetched by the test script and read
 * where they lie; nothing of them is part of Jemble.
 */
public class ForeignReturnsTest {

  /** {@code ('postfix', 'postfix_01.txt', [b'xxxxx@local.ie'], True)}, the last for a delay. */
  private static final Pattern EXPECTED =
      Pattern.compile("\\('\\w+', '(\\w+\\.txt)',\\s*\\[([^\\]]*)\\](, True)?\\)");

  private static final Pattern ADDRESS = Pattern.compile("b'([^']+)'");

  /** What is right for one sample. */
  private record Expected(Set<String> failed, Set<String> delayed) {}

  private Path samples;
  private final TreeMap<String, Expected> expected = new TreeMap<>();

  @BeforeClass
  public void read() throws IOException {
    String folder = System.getenv("JEMBLE_FOREIGN_RETURNS");
    if (folder == null) {
      throw new SkipException("./jemble test fetches the samples and says where they are.");
    }
    samples = Path.of(folder, "tests", "data");
    String table = Files.readString(Path.of(folder, "testing", "helpers.py"));
    Matcher rows = EXPECTED.matcher(table);
    while (rows.find()) {
      Expected sample =
          expected.computeIfAbsent(
              rows.group(1), n -> new Expected(new TreeSet<>(), new TreeSet<>()));
      (rows.group(3) == null ? sample.failed() : sample.delayed()).addAll(addresses(rows.group(2)));
    }
    assertThat(expected).hasSizeGreaterThan(100);
  }

  private static Set<String> addresses(String list) {
    return ADDRESS
        .matcher(list)
        .results()
        .map(m -> m.group(1).toLowerCase(Locale.ROOT))
        .collect(Collectors.toCollection(TreeSet::new));
  }

  private SortedMail sorted(String sample) throws IOException, MessagingException {
    return MailSorter.sort(InboundParser.parse(Files.readAllBytes(samples.resolve(sample))));
  }

  private static Set<String> lower(List<String> addresses) {
    return addresses.stream()
        .map(a -> a.toLowerCase(Locale.ROOT))
        .collect(Collectors.toCollection(TreeSet::new));
  }

  @Test
  public void finalFailuresAreFoundWithTheRightAddress() throws Exception {
    int all = 0;
    List<String> wrong = new ArrayList<>();
    for (var sample : expected.entrySet()) {
      if (!sample.getValue().failed().isEmpty()) {
        all++;
        SortedMail sorted = sorted(sample.getKey());
        boolean right =
            sorted instanceof SortedMail.Returned back
                && lower(back.addresses()).equals(sample.getValue().failed());
        if (!right) {
          wrong.add(sample.getKey() + " " + sorted);
        }
      }
    }
    System.out.printf(
        Locale.ROOT, "foreign returns: %d of %d right; not: %s%n", all - wrong.size(), all, wrong);
    assertThat(all).isGreaterThan(90);
    assertThat(wrong.size()).isLessThanOrEqualTo(all / 10);
  }

  @Test
  public void noDelayIsTakenForAFailure() throws Exception {
    for (var sample : expected.entrySet()) {
      if (sample.getValue().failed().isEmpty()) {
        SortedMail sorted = sorted(sample.getKey());
        assertThat(sorted).as(sample.getKey()).isNotInstanceOf(SortedMail.Returned.class);
        if (!sample.getValue().delayed().isEmpty()) {
          assertThat(sorted).as(sample.getKey()).isInstanceOf(SortedMail.Delayed.class);
          assertThat(lower(((SortedMail.Delayed) sorted).addresses()))
              .as(sample.getKey())
              .isEqualTo(sample.getValue().delayed());
        }
      }
    }
  }

  @Test
  public void aReturnInUnknownWordsIsNeverAReply() throws Exception {
    List<String> replies = new ArrayList<>();
    try (var files = Files.list(samples)) {
      for (Path file : files.filter(f -> f.toString().endsWith(".txt")).toList()) {
        String sample = file.getFileName().toString();
        if (sorted(sample) instanceof SortedMail.Reply) {
          replies.add(sample);
        }
      }
    }
    System.out.println("foreign returns taken for replies: " + replies);
    // An answer that is no return, and one that software wrote in a person's name and words.
    assertThat(replies).isSubsetOf("groupwise_03.txt", "simple_20.txt");
  }
}
