/**
 * Cards: pictures with each person's own words, drawn by the server. Read {@link
 * app.jemble.card.Cards} first.
 *
 * <p>Tables: none.
 */
package app.jemble.card;
