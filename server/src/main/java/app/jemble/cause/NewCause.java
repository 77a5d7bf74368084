package app.jemble.cause;

/**
 * What a cause begins with.
 *
 * @param followsId the cause in whose threads its messages go, or null
 */
public record NewCause(
    Cause.Kind kind, String name, long topicId, long senderId, boolean isPrivate, Long followsId) {}
