/**
 * What the house holds of one person: given out as a whole, erased for good, and let go of when it
 * was kept long enough. Read {@link app.jemble.privacy.ErasureService} first.
 *
 * <p>Tables: erasure, retention.
 */
package app.jemble.privacy;
