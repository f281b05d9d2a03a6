package oficina.server.phonewindow;

import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;

/** Where simulated telephones connect. */
@Configuration
@ConditionalOnProperty("oficina.stand-ins")
class PhoneConfig implements WebSocketConfigurer {
  private final PhoneSocket socket;

  PhoneConfig(PhoneSocket socket) {
    this.socket = socket;
  }

  @Override
  public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
    registry.addHandler(socket, "/api/handset");
  }
}
