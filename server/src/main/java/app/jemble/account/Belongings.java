package app.jemble.account;

import java.util.function.LongUnaryOperator;

/**
 * What one room keeps for a colleague, to be counted and given to another when they leave.
 *
 * @param one how one of it is called
 * @param many how several are
 * @param count how many a colleague has, by id, but those that are private to them
 * @param handOver gives what is counted to another; whoever calls has asked whether that may be
 */
public record Belongings(String one, String many, LongUnaryOperator count, HandOver handOver) {

  /** From one colleague to another. */
  @FunctionalInterface
  public interface HandOver {
    void give(Account from, Account to);
  }
}
