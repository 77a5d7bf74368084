/** Tells open screens that something has changed, by server-sent events. */
package app.jemble.live;
