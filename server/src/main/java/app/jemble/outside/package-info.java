/**
 * Services outside that the house uses, as the environment or its own screens say. Read {@link
 * app.jemble.outside.OutsideServices} first.
 *
 * <p>Tables: outside_service.
 */
package app.jemble.outside;
