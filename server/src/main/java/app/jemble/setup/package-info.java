/**
 * What a new house still has before it. Read {@link app.jemble.setup.SetUp} first.
 *
 * <p>Tables: none.
 */
package app.jemble.setup;
