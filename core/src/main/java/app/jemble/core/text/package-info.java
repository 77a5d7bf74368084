/**
 * Text messages to phones: their alphabets, the parts that the network bills, what they cost, and
 * what an answer means. Read {@link app.jemble.core.text.TextParts} first.
 */
package app.jemble.core.text;
