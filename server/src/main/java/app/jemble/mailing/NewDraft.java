package app.jemble.mailing;

import app.jemble.core.record.Related;

/** What a new draft begins with. */
public record NewDraft(
    String name,
    String subject,
    String body,
    Long templateId,
    Integer templateVersion,
    long topicId,
    long senderId,
    Long letterheadId,
    boolean promotional,
    Long followsId,
    boolean isPrivate,
    Related recordKind,
    Long[] recordIds,
    boolean recordEach,
    String audienceParts,
    String leaveParts,
    Long[] audiencePicks,
    Long[] leftOut) {}
