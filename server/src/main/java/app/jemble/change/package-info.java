/**
 * What was changed, by whom, and taking it back: every change of a person's fields goes through
 * {@link app.jemble.change.ChangeService}, which keeps the value before and after.
 */
package app.jemble.change;
