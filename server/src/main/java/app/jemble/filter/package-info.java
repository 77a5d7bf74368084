/**
 * Finding people and other records: filters as SQL, lists with their columns, kept filters. What a
 * filter means is decided in core. Read {@link app.jemble.filter.ListService} first.
 *
 * <p>Tables: kept_filter, layout.
 */
package app.jemble.filter;
