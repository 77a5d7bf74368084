package app.jemble.core.notice;

import java.net.URI;

/**
 * A device with the app, as the app registered it.
 *
 * @param address where its push service takes notices for it (RFC 8030, section 5)
 * @param keys what only it can read is sealed with them
 */
public record Device(URI address, SealedNotice.DeviceKeys keys) {}
