/**
 * Notices to the installed app: what they may hold, how they are sealed for one device, and how the
 * house proves to a push service that it is the one that was let in. Read {@link
 * app.jemble.core.notice.SealedNotice} first.
 */
package app.jemble.core.notice;
