/**
 * Pictures on record, which messages and pages show. Read {@link app.jemble.picture.PictureService}
 * first.
 *
 * <p>Tables: picture.
 */
package app.jemble.picture;
