package app.jemble.mailing;

/** What a writer may change of a draft. */
public record DraftChange(
    String name,
    String subject,
    String body,
    Long templateId,
    long topicId,
    Long letterheadId,
    boolean promotional,
    Mailing.Voice voice,
    Mailing.RepliesTo repliesTo,
    Long replyColleague,
    boolean isPrivate,
    boolean recordEach,
    String audienceParts,
    String leaveParts,
    Long[] audiencePicks,
    Long[] leftOut,
    String plan,
    boolean countOpens,
    boolean countClicks) {}
