package oficina.server.api;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Files whose name changes with their content are kept by browsers; everything else is asked for.
 */
@Configuration
class PagesConfig implements WebMvcConfigurer {
  private static final Duration YEAR = Duration.ofDays(365);

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/META-INF/resources/assets/")
        .setCacheControl(CacheControl.maxAge(YEAR).cachePublic().immutable());
  }
}
