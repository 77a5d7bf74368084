/**
 * When the workspace lets messages leave: hours, days off, caps. Read {@link
 * app.jemble.sending.SendingService} first.
 *
 * <p>Tables: sending_rules, colleague_cap, day_off, phone_rules, text_price, way_cap.
 */
package app.jemble.sending;
