package app.jemble.core.check;

import app.jemble.core.check.Finding.Code;
import app.jemble.core.check.Finding.Severity;
import app.jemble.core.record.PersonId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What the letters of a mailing come to on paper: everybody's is added as it was laid on its pages,
 * then the sum and the findings are asked for.
 */
public final class PaperCheck {

  /** Nobody looks through more of them. */
  private static final int MOST_CHARACTERS = 20;

  /** By how many pages they have, whose letters. */
  private final Map<Integer, List<PersonId>> byPages = new TreeMap<>();

  private final List<PersonId> longAddresses = new ArrayList<>();
  private final List<PersonId> unprintable = new ArrayList<>();
  private final Set<String> lacking = new LinkedHashSet<>();

  /**
   * A letter on its pages.
   *
   * @param pages at least 1
   * @param addressFits whether its address fits the window of the envelope
   * @param lacking the characters that no font can print; mostly empty
   */
  public record LaidLetter(int pages, boolean addressFits, String lacking) {}

  /**
   * What all come to.
   *
   * @param sheets when one side is printed
   * @param sheetsBothSides when both are, and each letter begins on a sheet of its own
   * @param longest pages of the longest; 0 when there is none
   */
  public record PaperSum(
      long letters, long pages, long sheets, long sheetsBothSides, int longest) {}

  /** Whether a finding is about letters on their pages. */
  public static boolean finds(Finding finding) {
    return switch (finding.code()) {
      case LONG_LETTER, ADDRESS_TOO_LONG, NO_GLYPH -> true;
      default -> false;
    };
  }

  public void add(PersonId person, LaidLetter letter) {
    byPages.computeIfAbsent(letter.pages(), n -> new ArrayList<>()).add(person);
    if (!letter.addressFits()) {
      longAddresses.add(person);
    }
    if (!letter.lacking().isEmpty()) {
      unprintable.add(person);
      letter.lacking().codePoints().mapToObj(Character::toString).forEach(lacking::add);
    }
  }

  public PaperSum sum() {
    long letters = 0;
    long pages = 0;
    long sheets = 0;
    int longest = 0;
    for (Map.Entry<Integer, List<PersonId>> some : byPages.entrySet()) {
      long these = some.getValue().size();
      letters += these;
      pages += these * some.getKey();
      sheets += these * ((some.getKey() + 1) / 2);
      longest = some.getKey();
    }
    return new PaperSum(letters, pages, pages, sheets, longest);
  }

  /** What wants a look before release. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    int usual = usual();
    byPages.forEach(
        (pages, people) -> {
          if (pages > usual) {
            findings.add(longer(pages, people, usual));
          }
        });
    if (!longAddresses.isEmpty()) {
      findings.add(
          notice(
              Code.ADDRESS_TOO_LONG,
              "",
              people(longAddresses, "has an address that does", "have addresses that do")
                  + " not fit the window of the envelope, even in the smallest print.",
              longAddresses));
    }
    if (!unprintable.isEmpty()) {
      findings.add(
          notice(
              Code.NO_GLYPH,
              "",
              people(unprintable, "gets a letter", "get letters")
                  + " with characters that no font can print: "
                  + lacking.stream().limit(MOST_CHARACTERS).collect(Collectors.joining(" "))
                  + ".",
              unprintable));
    }
    return findings;
  }

  /** How many pages most letters have; the fewer, where two are as frequent. */
  private int usual() {
    int usual = 0;
    for (Map.Entry<Integer, List<PersonId>> some : byPages.entrySet()) {
      if (usual == 0 || some.getValue().size() > byPages.get(usual).size()) {
        usual = some.getKey();
      }
    }
    return usual;
  }

  private static Finding longer(int pages, List<PersonId> people, int usual) {
    return notice(
        Code.LONG_LETTER,
        String.valueOf(pages),
        people(people, "gets a letter of ", "get letters of ")
            + pages
            + " pages; most have "
            + (usual == 1 ? "one." : usual + "."),
        people);
  }

  private static String people(List<PersonId> people, String one, String many) {
    return people.size() == 1
        ? "1 person " + one
        : String.format(Locale.ENGLISH, "%,d people %s", people.size(), many);
  }

  private static Finding notice(Code code, String about, String sentence, List<PersonId> people) {
    return new Finding(Severity.NOTICE, code, about, sentence, people);
  }
}
