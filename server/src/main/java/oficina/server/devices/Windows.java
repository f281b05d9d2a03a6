package oficina.server.devices;

import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.commands.OfficeCommand;
import oficina.core.people.PersonId;
import oficina.core.state.Device;
import oficina.core.state.ExchangeState;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Turn;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * The windows of the application as devices of the exchange. A window is there as long as it is
 * connected, and a little longer: a reload or a lost line must not make anybody unreachable.
 */
@Component
public class Windows implements ExchangeListener {
  /** How long a window may be away, as during a reload, before it counts as gone. */
  private static final Duration GRACE = Duration.ofSeconds(10);

  private record Window(PersonId person, DeviceId device) {}

  private final ExchangeLoop loop;
  private final ApplicationEventPublisher events;

  /** How many connections each window has; two for a moment when it connects anew. */
  private final Map<Window, Integer> connections = new HashMap<>();

  Windows(ExchangeLoop loop, ApplicationEventPublisher events) {
    this.loop = loop;
    this.events = events;
    loop.listen(this);
  }

  /** A window has connected. */
  public void connected(PersonId person, DeviceId device) {
    loop.post(
        () -> {
          connections.merge(new Window(person, device), 1, Integer::sum);
          loop.run(new OfficeCommand.DeviceComes(person, device, DeviceKind.WINDOW, true));
          loop.run(new OfficeCommand.Tick()); // somebody may have waited for them
        });
  }

  /**
   * A window has lost its connection.
   *
   * @param forGood whether it is known not to come back
   */
  public void lost(PersonId person, DeviceId device, boolean forGood) {
    Window window = new Window(person, device);
    loop.post(
        () -> {
          if (forGood) {
            gone(window);
          } else {
            loop.later(GRACE, () -> gone(window));
          }
        });
  }

  private void gone(Window window) {
    if (connections.merge(window, -1, Integer::sum) > 0) {
      return;
    }
    connections.remove(window);
    loop.run(new OfficeCommand.DeviceGoes(window.person(), window.device()));
    if (connections.keySet().stream().noneMatch(each -> each.person().equals(window.person()))) {
      events.publishEvent(new LastWindowClosed(window.person()));
    }
  }

  @Override
  public Turn turn() {
    return Turn.DEVICES;
  }

  /** Windows that were there when the server stopped are given time to connect again. */
  @Override
  public void takenUp(ExchangeState state) {
    for (PersonId person : state.reachable()) {
      for (Device device : state.devices(person)) {
        if (device.kind() == DeviceKind.WINDOW) {
          Window window = new Window(person, device.id());
          connections.merge(window, 1, Integer::sum);
          loop.later(GRACE, () -> gone(window));
        }
      }
    }
  }
}
