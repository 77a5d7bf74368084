package app.jemble.backup;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/**
 * The words “backup” and “restore” with a file: keeps the database and the key to its secrets in
 * one file, or makes an empty database of it. Goes by the variables that the house goes by.
 */
public final class BackupCommand {

  public static final String BACKUP = "backup";
  public static final String RESTORE = "restore";

  /** Why it cannot be done, in a sentence. */
  static final class Refused extends Exception {
    private static final long serialVersionUID = 1;

    Refused(String sentence) {
      super(sentence);
    }
  }

  private BackupCommand() {}

  public static boolean isOne(String[] args) {
    return args.length > 0 && (args[0].equals(BACKUP) || args[0].equals(RESTORE));
  }

  /**
   * @param args the word and the file
   * @param settings the variables of docs/operations.md
   * @return 0, or 1 when it could not be done
   */
  public static int run(List<String> args, Map<String, String> settings, PrintStream out) {
    if (args.size() != 2) {
      out.println("Say one file: " + args.get(0) + " FILE");
      return 1;
    }
    Path file = Path.of(args.get(1));
    KeptDatabase database = KeptDatabase.of(settings);
    KeptKey key = KeptKey.of(settings);
    try {
      if (args.get(0).equals(BACKUP)) {
        BackupFile.write(file, database, key);
        out.println("The house is kept in " + file + ", with the key to its secrets: guard it.");
      } else {
        BackupFile.restore(file, database, key);
        out.println(
            "The house is restored. Nothing leaves it until an administrator has said on its screen"
                + " that it goes on here: make sure first that the other does not run any more.");
      }
      return 0;
    } catch (Refused refused) {
      out.println(refused.getMessage());
    } catch (IOException failed) {
      out.println("It failed: " + failed.getMessage());
    }
    return 1;
  }
}
