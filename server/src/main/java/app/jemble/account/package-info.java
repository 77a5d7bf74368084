/**
 * Colleagues: who they are, signing in and staying signed in. Read {@link
 * app.jemble.account.AccountService} first.
 *
 * <p>Tables: account, sign_in_failure, second_factor, recovery_code, spring_session,
 * spring_session_attributes.
 */
package app.jemble.account;
