/**
 * Labels and envelopes: whom they are for, how they lie on their sheets, the file as it was
 * printed, and when it was posted. Read {@link app.jemble.print.PrintRunService} first.
 *
 * <p>Tables: print_run, print_own, print_item, print_file.
 */
package app.jemble.print;
