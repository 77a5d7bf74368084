package app.jemble.draft;

import app.jemble.cause.WaysBody;
import app.jemble.core.message.MailWording;
import app.jemble.plan.SendPlan;

/**
 * What a writer saves of a draft.
 *
 * @param plan null leaves it as it is
 */
record DraftChange(
    String name,
    long topicId,
    boolean isPrivate,
    MailWording wording,
    AudienceChange audience,
    WaysBody ways,
    SendPlan plan) {}
