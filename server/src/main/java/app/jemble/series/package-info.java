/**
 * Messages in steps: what series are, their steps, and what their steps say; they are changed,
 * activated, paused and ended here. Read {@link app.jemble.series.StepEditing} first.
 *
 * <p>Tables: series, series_step.
 */
package app.jemble.series;
