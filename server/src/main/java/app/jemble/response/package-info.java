/**
 * What came back, what it means for its message, and what follows from it. Read {@link
 * app.jemble.response.ResponseService} first.
 *
 * <p>Tables: response, counting_rules.
 */
package app.jemble.response;
