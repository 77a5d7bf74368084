/**
 * Days that come round, and the standing mailings that say something on them. When that is, is
 * decided in core. Read {@link app.jemble.occasion.OccasionRun} first.
 *
 * <p>Tables: occasion, occasion_turn.
 */
package app.jemble.occasion;
