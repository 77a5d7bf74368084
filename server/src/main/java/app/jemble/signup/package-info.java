/**
 * Pages by which people sign themselves up: how they are made, what came of them, and what waits
 * for a colleague. Read {@link app.jemble.signup.SignUpPages} first.
 *
 * <p>Tables: sign_up_page, sign_up, sign_up_day.
 */
package app.jemble.signup;
