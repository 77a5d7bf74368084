/**
 * Who may do what: decided here and nowhere else. Read {@link app.jemble.core.access.Access} first.
 */
package app.jemble.core.access;
