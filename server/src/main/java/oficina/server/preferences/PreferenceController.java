package oficina.server.preferences;

import jakarta.validation.Valid;
import oficina.server.passwords.Employee;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One's own preferences. */
@RestController
@RequestMapping("/api/preferences")
class PreferenceController {
  private final Preferences preferences;

  PreferenceController(Preferences preferences) {
    this.preferences = preferences;
  }

  @GetMapping
  Preference mine(@AuthenticationPrincipal Employee me) {
    return preferences.of(me.id());
  }

  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void choose(@AuthenticationPrincipal Employee me, @Valid @RequestBody Preference preference) {
    preferences.choose(me.id(), preference);
  }
}
