package app.jemble.core.text;

import app.jemble.core.response.ResponseKind;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What the network says that became of a text (SMPP v3.4, appendix B). */
public enum ReceiptState {
  DELIVERED("delivered"),
  EXPIRED("expired: the phone was not reached in time"),
  UNDELIVERABLE("undeliverable"),
  REJECTED("rejected by the network"),
  /** on its way still, or not known */
  UNKNOWN("not known");

  private static final Map<String, ReceiptState> BY_WORD =
      Map.of(
          "DELIVRD", DELIVERED,
          "EXPIRED", EXPIRED,
          "UNDELIV", UNDELIVERABLE,
          "DELETED", UNDELIVERABLE,
          "REJECTD", REJECTED);

  private final String words;

  ReceiptState(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /**
   * As what it counts: what did not arrive came back, for good only where the number is at fault.
   */
  public Optional<ResponseKind> response() {
    return switch (this) {
      case UNDELIVERABLE -> Optional.of(ResponseKind.RETURNED_HARD);
      case EXPIRED, REJECTED -> Optional.of(ResponseKind.RETURNED_SOFT);
      case DELIVERED, UNKNOWN -> Optional.empty();
    };
  }

  /** Nothing more comes after it. */
  public boolean isLast() {
    return this != UNKNOWN;
  }

  /** Reads the seven letters that stand after {@code stat:} in a receipt. */
  public static ReceiptState of(String stat) {
    return BY_WORD.getOrDefault(stat.strip().toUpperCase(Locale.ROOT), UNKNOWN);
  }
}
