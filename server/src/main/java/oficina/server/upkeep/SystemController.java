package oficina.server.upkeep;

import java.util.Set;
import oficina.core.upkeep.Alarm;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How the installation stands, for administrators. */
@RestController
@RequestMapping("/api/office")
class SystemController {
  private final Installation installation;
  private final Alarms alarms;

  SystemController(Installation installation, Alarms alarms) {
    this.installation = installation;
    this.alarms = alarms;
  }

  /**
   * How it stands.
   *
   * @param alarms what has to be done something about, the most urgent first
   */
  record SystemView(Set<Alarm> alarms, InstallationState state) {}

  /** How it stands now. */
  @GetMapping("/system")
  SystemView now() {
    return new SystemView(alarms.now(), installation.now());
  }

  /** What has to be done something about, the most urgent first. */
  @GetMapping("/alarms")
  Set<Alarm> alarms() {
    return alarms.now();
  }
}
