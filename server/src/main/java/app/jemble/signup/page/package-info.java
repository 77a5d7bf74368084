/**
 * What the screens of sign-up pages ask. Read {@link app.jemble.signup.SignUpPages} first.
 *
 * <p>Tables: none.
 */
package app.jemble.signup.page;
