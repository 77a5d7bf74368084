/**
 * Why messages exist, and what they say: a mailing, a rule, an answer by hand, each with its
 * wording. The only way to one is by the right to know of it. Read {@link
 * app.jemble.cause.OpenCauses} first.
 *
 * <p>Tables: cause, wording, way_wording.
 */
package app.jemble.cause;
