/**
 * Lists: people picked by hand and kept together. Read {@link app.jemble.list.PersonLists} first.
 *
 * <p>Tables: person_list, list_member.
 */
package app.jemble.list;
