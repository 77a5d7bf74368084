/**
 * Colleagues as an administrator looks after them: invited, changed, switched off. Read {@link
 * app.jemble.colleague.PasswordLinks} first.
 *
 * <p>Tables: first_start, password_link.
 */
package app.jemble.colleague;
