/**
 * What came back and what it means. Read {@link app.jemble.core.response.ResponseKind}, then {@link
 * app.jemble.core.response.Standing}; mail that arrives is read by {@link
 * app.jemble.core.response.MailSorter}.
 */
package app.jemble.core.response;
