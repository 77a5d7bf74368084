package app.jemble.request;

import app.jemble.core.response.AddressRange;
import app.jemble.settings.JembleSettings;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Who asks, and how, where proxies stand before us. What they say in headers is believed of those
 * alone whose addresses are set; of anybody else it is as if it had not been said.
 */
@Component
class ClientAddress {

  private final List<AddressRange> proxies;

  ClientAddress(JembleSettings settings) {
    String given = settings.trustedProxies() == null ? "" : settings.trustedProxies();
    this.proxies =
        Arrays.stream(given.split(","))
            .map(String::strip)
            .filter(p -> !p.isEmpty())
            .map(ClientAddress::range)
            .toList();
  }

  private static AddressRange range(String given) {
    return AddressRange.of(given)
        .orElseThrow(
            () ->
                new IllegalStateException(
                    "JEMBLE_TRUSTED_PROXIES names addresses such as 10.0.0.1 or 10.0.0.0/24, not “"
                        + given
                        + "”."));
  }

  /** The request as whoever is behind the proxies sent it. */
  HttpServletRequest behindProxies(HttpServletRequest request) {
    if (!isProxy(request.getRemoteAddr())) {
      return request;
    }
    String reader = request.getRemoteAddr();
    List<String> hops = new ArrayList<>();
    for (String header : Collections.list(request.getHeaders("X-Forwarded-For"))) {
      hops.addAll(Arrays.asList(header.split(",")));
    }
    // From the nearest on: the first that is no proxy of ours is who asks.
    for (int i = hops.size() - 1; i >= 0; i--) {
      String hop = hops.get(i).strip();
      if (!AddressRange.of(hop).isPresent()) {
        break;
      }
      reader = hop;
      if (!isProxy(hop)) {
        break;
      }
    }
    boolean secure = "https".equalsIgnoreCase(request.getHeader("X-Forwarded-Proto"));
    return new Forwarded(request, reader, secure || request.isSecure());
  }

  private boolean isProxy(String address) {
    return proxies.stream().anyMatch(p -> p.holds(address));
  }

  private static final class Forwarded extends HttpServletRequestWrapper {
    private final String reader;
    private final boolean secure;

    Forwarded(HttpServletRequest request, String reader, boolean secure) {
      super(request);
      this.reader = reader;
      this.secure = secure;
    }

    @Override
    public String getRemoteAddr() {
      return reader;
    }

    @Override
    public String getRemoteHost() {
      return reader;
    }

    @Override
    public boolean isSecure() {
      return secure;
    }

    @Override
    public String getScheme() {
      return secure ? "https" : super.getScheme();
    }
  }
}
