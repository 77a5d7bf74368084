/**
 * People who sign themselves up: what a page asks, how what they typed is read, which of it differs
 * from the record, and what keeps software and strangers from signing up others.
 */
package app.jemble.core.signup;
