/**
 * Files of people going in and out: how a file is written (encoding, delimiter), which column is
 * which field, and cells that no spreadsheet takes for a formula.
 */
package app.jemble.core.exchange;
