/**
 * Messages in steps: series and their steps, who is in them, and what leaves when. Whether a step
 * is due and leaves is decided in core. Read {@link app.jemble.series.SeriesRun} first.
 *
 * <p>Tables: series, series_step, series_entry, series_pass, series_skip.
 */
package app.jemble.series;
