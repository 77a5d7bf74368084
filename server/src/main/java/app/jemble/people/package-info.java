/**
 * People as colleagues see them: the person's page, what stands around them, acts on many, merging,
 * who is not written to. Read {@link app.jemble.people.PersonService} first.
 *
 * <p>Tables: office, quote, event, attendance, do_not_write, written_to_again.
 */
package app.jemble.people;
