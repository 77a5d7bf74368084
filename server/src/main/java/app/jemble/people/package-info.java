/**
 * People as colleagues see them: the person's page, what stands around them, acts on many and
 * merging. Read {@link app.jemble.people.PersonService} first.
 *
 * <p>Tables: office, quote, event, attendance.
 */
package app.jemble.people;
