package app.jemble.sending;

import java.time.LocalDate;

/** A day on which the workspace writes to nobody. */
public record DayOff(LocalDate day, String name) {}
