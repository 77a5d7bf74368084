/**
 * What comes in from outside, before any subject sees it: how JSON is read, how much and how often
 * anybody may ask, who asks behind a proxy, and what every answer says to browsers. Read {@link
 * app.jemble.request.RequestGate} first.
 *
 * <p>Tables: idempotent_request.
 */
package app.jemble.request;
