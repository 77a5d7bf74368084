/**
 * What is on record of people, organisations and memberships, and every change of it with what
 * stood before, so that it can be taken back. Read {@link app.jemble.record.ChangeService} first.
 *
 * <p>Tables: person, organisation, membership, change, change_batch.
 */
package app.jemble.record;
