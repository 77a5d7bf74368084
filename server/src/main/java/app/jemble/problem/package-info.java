/**
 * What is said when something cannot be done: a sentence, and the field it is about (RFC 9457).
 * Read {@link app.jemble.problem.Problem} first.
 *
 * <p>Tables: none.
 */
package app.jemble.problem;
