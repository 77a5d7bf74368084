/** When messages leave. Read {@link app.jemble.core.pace.Planner} first. */
package app.jemble.core.pace;
