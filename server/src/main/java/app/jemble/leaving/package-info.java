/**
 * Where readers leave, choose their topics, and come back. Read {@link
 * app.jemble.leaving.LeavingService} first.
 *
 * <p>Tables: none.
 */
package app.jemble.leaving;
