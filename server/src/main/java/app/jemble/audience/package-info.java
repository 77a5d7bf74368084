/**
 * Whom a mailing is for: the people of its parts, each with the one reason why they can be written
 * to or not. Read {@link app.jemble.audience.AudienceService} first.
 *
 * <p>Tables: audience.
 */
package app.jemble.audience;
