package app.jemble.mailing;

import java.time.Instant;

/** A mailing in the list. */
public record MailingRow(
    long id,
    String name,
    String subject,
    String state,
    String senderName,
    Instant releasedAt,
    Instant heldUntil,
    Instant dueAt,
    Instant createdAt,
    long messages,
    long sent,
    long toDepart,
    long replied) {}
