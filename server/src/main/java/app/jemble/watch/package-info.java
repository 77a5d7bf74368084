/**
 * What whoever watches over the house is told, in the open format of Prometheus. Read {@link
 * app.jemble.watch.HouseMetrics} first.
 *
 * <p>Tables: none.
 */
package app.jemble.watch;
