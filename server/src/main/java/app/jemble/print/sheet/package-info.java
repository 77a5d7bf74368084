/**
 * Sheets of labels, and what is kept to print on them again. Read {@link
 * app.jemble.print.sheet.DesignBody} first.
 *
 * <p>Tables: own_sheet, label_template.
 */
package app.jemble.print.sheet;
