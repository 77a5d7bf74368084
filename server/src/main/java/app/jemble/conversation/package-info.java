/**
 * What was written back and forth with one person, and answering by hand. Read {@link
 * app.jemble.conversation.ConversationService} first.
 *
 * <p>Tables: answer.
 */
package app.jemble.conversation;
