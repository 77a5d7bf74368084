/**
 * Sign-up as readers meet it: the public page, the mail, the button that confirms. Read {@link
 * app.jemble.signup.reader.JoinController} first.
 *
 * <p>Tables: sign_up_post.
 */
package app.jemble.signup.reader;
