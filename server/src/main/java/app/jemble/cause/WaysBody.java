package app.jemble.cause;

import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.PaperWording;
import app.jemble.core.message.TextWording;
import app.jemble.core.reach.Channel;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * On which ways something goes, and what it says on those beside e-mail. In a change, what is null
 * stays as it is.
 *
 * @param ways in their order
 * @param text what is said by text
 * @param notice what is said to the app
 * @param paper what is said on paper
 */
public record WaysBody(
    @Schema(nullable = true) List<Channel> ways,
    @Schema(nullable = true) TextWording text,
    @Schema(nullable = true) NoticeWording notice,
    @Schema(nullable = true) PaperWording paper) {}
