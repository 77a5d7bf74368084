package app.jemble.carrier;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.reach.Channel;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The ways on which this house can write to people. */
@RestController
@RequestMapping("/api/ways")
class WaysController {

  /** A way, as people read it. */
  record WayOfHouse(Channel channel, String words) {}

  private final Carriers carriers;

  WaysController(Carriers carriers) {
    this.carriers = carriers;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<WayOfHouse> all() {
    return Arrays.stream(Channel.values())
        .filter(carriers::serve)
        .map(way -> new WayOfHouse(way, way.words()))
        .toList();
  }
}
