package app.jemble.exchange;

import java.util.List;

/** Takes the rows of a file one after the other. */
@FunctionalInterface
interface RowSink {

  /**
   * @param number as a spreadsheet counts, the headers being row 1
   */
  void row(int number, List<String> cells) throws Exception;
}
