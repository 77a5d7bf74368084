/**
 * People going in and out as files: CSV (RFC 4180) and vCard (RFC 2426, RFC 6350). An import is
 * read ({@link app.jemble.exchange.ImportReader}), checked ({@link
 * app.jemble.exchange.ImportChecker}) and only then run ({@link app.jemble.exchange.ImportRunner});
 * it is taken back like any act.
 */
package app.jemble.exchange;
