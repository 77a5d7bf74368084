/**
 * What was done in the house that is no change of a person: signing in, settings, colleagues,
 * exports. Read {@link app.jemble.history.HouseHistory} first.
 *
 * <p>Tables: house_event.
 */
package app.jemble.history;
