package app.jemble.request;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Lets a refusal be the end of a connection. The web server would otherwise wait, with a thread,
 * for the rest of a body that nobody wants.
 */
final class ClosingValve extends ValveBase {

  private static final String CLOSER = ClosingValve.class.getName();

  ClosingValve() {
    super(true);
  }

  @Override
  public void invoke(Request request, Response response) throws IOException, ServletException {
    request.setAttribute(CLOSER, request.getCoyoteRequest());
    getNext().invoke(request, response);
  }

  /** Whether more of a body has come; asked without waiting for it. */
  static boolean hasMore(HttpServletRequest request) {
    if (request.getAttribute(CLOSER) instanceof org.apache.coyote.Request coyote) {
      coyote.action(ActionCode.AVAILABLE, Boolean.TRUE);
      return coyote.getAvailable() > 0;
    }
    return false;
  }

  /** The rest of this request's body is not waited for. */
  static void close(HttpServletRequest request) {
    if (request.getAttribute(CLOSER) instanceof org.apache.coyote.Request coyote) {
      coyote.action(ActionCode.DISABLE_SWALLOW_INPUT, null);
    }
  }

  @Configuration
  static class Placing {
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> closing() {
      return tomcat -> tomcat.addEngineValves(new ClosingValve());
    }
  }
}
