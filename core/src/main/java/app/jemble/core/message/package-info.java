/**
 * Merged parts become one message: safe HTML, the plain text made from it, marks and links that can
 * be counted, headers, thread. Read {@link app.jemble.core.message.MessageComposer} first.
 */
package app.jemble.core.message;
