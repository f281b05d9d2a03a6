package oficina.server.push;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;

/** Where pages connect. */
@Configuration
@EnableWebSocket
class PushConfig implements WebSocketConfigurer {
  private final PushSocket socket;
  private final PushDoor door;

  PushConfig(PushSocket socket, PushDoor door) {
    this.socket = socket;
    this.door = door;
  }

  @Override
  public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
    registry.addHandler(socket, "/api/push").addInterceptors(door);
  }
}
