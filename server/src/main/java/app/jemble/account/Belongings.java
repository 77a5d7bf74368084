package app.jemble.account;

/** What one room keeps for a colleague: counted, and given to another when they leave. */
public interface Belongings {

  /** How it is called: of one, and of many. */
  record Words(String one, String many) {}

  Words words();

  /** How many a colleague has, but those that are private to them. */
  long count(long owner);

  /** Gives what {@link #count} counts to another; whoever calls has asked whether that may be. */
  void handOver(Account from, Account to);
}
