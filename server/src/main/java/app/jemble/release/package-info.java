/**
 * The act that lets a mailing go: everyone checked once more, noted, and the messages written by
 * the lot. Its sender is told how it went. Read {@link app.jemble.release.ReleaseService} first.
 *
 * <p>Tables: mailing_release, mailing_release_lot, mailing_summary.
 */
package app.jemble.release;
