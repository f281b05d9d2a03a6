package oficina.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** Starts the server. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class OficinaApplication {
  public static void main(String[] args) {
    SpringApplication.run(OficinaApplication.class, args);
  }
}
