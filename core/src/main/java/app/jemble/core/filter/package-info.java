/**
 * Conditions that pick people, their English sentence, and what they mean. Read {@link
 * app.jemble.core.filter.Filter} first; {@link app.jemble.core.filter.FilterMatch} is the meaning,
 * which the database's answer must equal.
 */
package app.jemble.core.filter;
