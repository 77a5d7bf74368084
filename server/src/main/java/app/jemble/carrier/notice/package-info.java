/**
 * Notices on their way to devices with the app: Web Push (RFC 8030, 8188, 8291, 8292). Read {@link
 * app.jemble.carrier.notice.NoticeCarrier} first.
 *
 * <p>Tables: push_keys.
 */
package app.jemble.carrier.notice;
