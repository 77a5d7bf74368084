/**
 * What the house holds of one person, given out as a whole. Read {@link
 * app.jemble.privacy.HeldOfPerson} first.
 *
 * <p>Tables: none.
 */
package app.jemble.privacy;
