/**
 * Fonts that ship: what cards and paper are set in. Read {@link app.jemble.font.ShippedFonts}
 * first.
 *
 * <p>Tables: none.
 */
package app.jemble.font;
