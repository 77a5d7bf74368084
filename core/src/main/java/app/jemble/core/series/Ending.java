package app.jemble.core.series;

/**
 * What ends a series for somebody, by choice, besides what always does.
 *
 * @param onReply whoever replied to any of its steps
 * @param onClick whoever followed a link of any of its steps
 * @param onFilter whoever came to match its ending filter
 */
public record Ending(boolean onReply, boolean onClick, boolean onFilter) {}
