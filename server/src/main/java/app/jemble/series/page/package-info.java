/**
 * Series as the screens ask for them. Read {@link app.jemble.series.page.SeriesShown} first.
 *
 * <p>Tables: none.
 */
package app.jemble.series.page;
