/**
 * Tells open screens that something has changed, by server-sent events. Read {@link
 * app.jemble.live.LiveFeed} first.
 *
 * <p>Tables: none.
 */
package app.jemble.live;
