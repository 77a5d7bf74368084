/**
 * A pretend message centre (SMPP v3.4) with pretend phones. Start with {@link
 * app.jemble.standins.text.MessageCentre}.
 */
package app.jemble.standins.text;
