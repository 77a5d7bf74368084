/**
 * Cards: pictures with each person's own words on them. Words are shrunk until they fit into their
 * place, and never cut.
 */
package app.jemble.core.card;
