package oficina.server.push;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.server.support.HttpSessionHandshakeInterceptor;

/**
 * Where pages connect. Only pages of this very origin may: that is Spring's rule unless changed.
 */
@Configuration
@EnableWebSocket
class PushConfig implements WebSocketConfigurer {
  static final String HTTP_SESSION = HttpSessionHandshakeInterceptor.HTTP_SESSION_ID_ATTR_NAME;

  private final PushSocket socket;

  PushConfig(PushSocket socket) {
    this.socket = socket;
  }

  @Override
  public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
    registry.addHandler(socket, "/api/push").addInterceptors(new HttpSessionHandshakeInterceptor());
  }
}
