/**
 * A push service and devices with the house's app, both pretend. They know the house by its public
 * address and by Web Push (RFC 8030, 8291, 8292) alone. Read {@link
 * app.jemble.standins.push.PushService} first.
 */
package app.jemble.standins.push;
