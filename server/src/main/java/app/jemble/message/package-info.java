/**
 * Each person's copy: what a letter is made of, its proof, words for one person alone. Read {@link
 * app.jemble.message.Letter} first.
 *
 * <p>Tables: own_wording.
 */
package app.jemble.message;
