package app.jemble.core.access;

/** A colleague who asks, or for whom something is done. */
public record Asker(long id, Role role) {}
