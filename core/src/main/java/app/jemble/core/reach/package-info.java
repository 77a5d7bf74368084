/**
 * Who can be written to, and if not, the one reason why. Read {@link app.jemble.core.reach.Reach}
 * first.
 */
package app.jemble.core.reach;
