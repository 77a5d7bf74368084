package app.jemble.core.merge;

/**
 * Where something stands in a template's text.
 *
 * @param line from 1
 * @param column from 1, in UTF-16 units
 */
public record Position(int line, int column) {}
