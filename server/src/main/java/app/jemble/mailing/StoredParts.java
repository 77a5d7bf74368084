package app.jemble.mailing;

/** The parts of a mailing's audience and those it leaves out, as they are stored. */
public record StoredParts(long id, String parts, String leaveParts) {}
