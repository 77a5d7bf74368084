package app.jemble.request;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Scripts, styles and fonts whose names are made of what is in them: a browser that has one never
 * asks again (RFC 8246). The page that names them is asked for anew each time.
 */
@Configuration
class ScriptsAndStyles implements WebMvcConfigurer {

  private static final Duration YEAR = Duration.ofDays(365);

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/_app/immutable/**")
        .addResourceLocations("classpath:/static/_app/immutable/")
        .setCacheControl(CacheControl.maxAge(YEAR).cachePublic().immutable());
  }
}
