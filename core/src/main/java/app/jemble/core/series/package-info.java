/**
 * Messages in steps, each person on their own clock: when a step is due, whether it leaves, and
 * what a change of the steps means for whom. Read {@link app.jemble.core.series.StepJudge} first.
 */
package app.jemble.core.series;
