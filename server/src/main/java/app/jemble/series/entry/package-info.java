/**
 * People in series: how they come in, and what leaves to them when. Whether a step is due and
 * leaves is decided in core. Read {@link app.jemble.series.entry.SeriesRun} first.
 *
 * <p>Tables: series_entry, series_pass, series_skip, series_tally.
 */
package app.jemble.series.entry;
