package app.jemble.mark;

import app.jemble.workspace.WorkspaceService;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;

/** Where the open mark is fetched: before sessions, rights and screens. */
@Configuration
class MarkConfig {

  @Bean
  FilterRegistrationBean<MarkFilter> marks(MarkIntake intake, WorkspaceService workspace) {
    FilterRegistrationBean<MarkFilter> marks =
        new FilterRegistrationBean<>(new MarkFilter(intake, workspace));
    marks.addUrlPatterns("/o/*");
    // Behind the gate of all requests.
    marks.setOrder(Ordered.HIGHEST_PRECEDENCE + 10);
    marks.setAsyncSupported(true);
    return marks;
  }
}
