/**
 * Series to begin from, which ship: their texts have blanks that the writer fills. Read {@link
 * app.jemble.series.starter.Starters} first.
 *
 * <p>Tables: none.
 */
package app.jemble.series.starter;
