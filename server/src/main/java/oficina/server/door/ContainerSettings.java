package oficina.server.door;

import org.apache.catalina.core.StandardHost;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How the container itself refuses. */
@Configuration
class ContainerSettings {

  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> problemDocuments() {
    return factory ->
        factory.addContextCustomizers(
            context -> {
              ((StandardHost) context.getParent())
                  .setErrorReportValveClass(ProblemValve.class.getName());
              // The rest of a body that is refused is not waited for.
              context.setSwallowAbortedUploads(false);
            });
  }
}
