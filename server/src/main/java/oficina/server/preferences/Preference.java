package oficina.server.preferences;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.RecordingChoice;

/**
 * What a person has chosen for their calls.
 *
 * @param callWaiting whether further calls ring while one is in hand
 * @param callerId what called outsiders are shown unless another choice is made for a call
 * @param recording which of their calls are recorded, as far as the office leaves that to them
 * @param hiddenSlots numbers of the park slots they do not want to see
 */
public record Preference(
    boolean callWaiting,
    @NotNull CallerIdChoice callerId,
    @NotNull RecordingChoice recording,
    @NotNull @Size(max = 40) List<@NotNull @Pattern(regexp = "[0-9]{1,8}") String> hiddenSlots) {
  public Preference {
    hiddenSlots = hiddenSlots == null ? null : List.copyOf(hiddenSlots);
  }
}
