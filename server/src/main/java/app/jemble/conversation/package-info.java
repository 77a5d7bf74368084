/**
 * What was written back and forth with one person, and answering by hand. Read {@link
 * app.jemble.conversation.ConversationService} first.
 *
 * <p>Tables: none.
 */
package app.jemble.conversation;
