/**
 * Figures of what came back: of one mailing, of many, by plan, tag, owner and zone. Read {@link
 * app.jemble.result.ResultService} first.
 *
 * <p>Tables: none.
 */
package app.jemble.result;
