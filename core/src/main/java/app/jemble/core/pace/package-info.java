/** When messages leave. Read {@link app.jemble.core.pace.WallClock} first. */
package app.jemble.core.pace;
