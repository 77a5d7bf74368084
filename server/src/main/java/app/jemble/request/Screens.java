package app.jemble.request;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Addresses of screens all lead to the one page, which draws the screen. */
@Controller
class Screens {

  @GetMapping({
    "/",
    "/sign-in",
    "/first-start",
    "/new-password",
    "/desk",
    "/people/**",
    "/templates/**",
    "/letterheads/**",
    "/documents/**",
    "/paper/**",
    "/mailings/**",
    "/outbox/**",
    "/responses/**",
    "/tasks",
    "/quotes",
    "/events",
    "/lists",
    "/settings/**"
  })
  String screen() {
    return "forward:/index.html";
  }
}
