package app.jemble.live;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** What has changed, as it changes. */
@RestController
@RequestMapping("/api/live")
class LiveController {

  private final LiveFeed feed;
  private final AccountService accounts;

  LiveController(LiveFeed feed, AccountService accounts) {
    this.feed = feed;
    this.accounts = accounts;
  }

  /**
   * Events whose data are words: which of outbox, responses, mailings and tasks have changed;
   * "everything" at first.
   */
  @Needs(Right.SEE)
  @GetMapping(produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter listen() {
    return feed.listen(accounts.current().id());
  }
}
