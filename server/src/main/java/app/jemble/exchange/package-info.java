/**
 * People going in and out as files: CSV (RFC 4180) and vCard (RFC 2426, RFC 6350). An import is
 * read, checked and only then run; it is taken back like any act. Read {@link
 * app.jemble.exchange.ImportService} first.
 *
 * <p>Tables: import_run, import_row.
 */
package app.jemble.exchange;
