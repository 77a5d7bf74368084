package app.jemble.release;

/** How many messages a release has, and how many of them are written. */
public record WritingProgress(int written, int messages) {}
