/**
 * A mailing as a whole while somebody is at it: begun, written, put away, let go. Read {@link
 * app.jemble.draft.DraftService} first.
 *
 * <p>Tables: none.
 */
package app.jemble.draft;
