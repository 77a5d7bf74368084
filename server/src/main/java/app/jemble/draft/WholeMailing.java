package app.jemble.draft;

import app.jemble.audience.AudienceView;
import app.jemble.core.message.CauseState;
import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.PaperWording;
import app.jemble.core.message.RepliesTo;
import app.jemble.core.message.TextWording;
import app.jemble.core.message.Voice;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.mailing.MailingFiles;
import app.jemble.plan.SendPlan;
import app.jemble.release.WritingProgress;
import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;

/** A mailing on the mailing's screen. */
record WholeMailing(
    long id,
    String name,
    String subject,
    String body,
    @Schema(nullable = true) Long templateId,
    @Schema(nullable = true) String templateName,
    @Schema(nullable = true) Integer templateVersion,
    long topicId,
    long senderId,
    String senderName,
    @Schema(nullable = true) Long letterheadId,
    boolean promotional,
    Voice voice,
    RepliesTo repliesTo,
    @Schema(nullable = true) Long replyColleague,
    @JsonProperty("private") boolean isPrivate,
    @Schema(nullable = true) Long followsId,
    @Schema(nullable = true) String followsName,
    boolean byRule,
    @Schema(nullable = true) Related recordKind,
    int records,
    boolean recordEach,
    String audienceWords,
    List<AudienceView.ShownPart> parts,
    List<AudienceView.ShownPart> leftOutParts,
    List<PersonId> picks,
    List<PersonId> leftOut,
    SendPlan plan,
    boolean countOpens,
    boolean countClicks,
    List<Channel> ways,
    TextWording text,
    NoticeWording notice,
    PaperWording paper,
    List<MailingFiles.MailingFile> files,
    CauseState state,
    boolean held,
    @Schema(nullable = true) Instant heldUntil,
    @Schema(nullable = true) Instant dueAt,
    boolean paused,
    @Schema(nullable = true) WritingProgress writing,
    int version) {}
