package oficina.server.owngroups;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * Somebody is put into groups and taken out of others. The favourites have no name.
 *
 * @param into groups to put them into, made when they are not there yet
 * @param outOf groups to take them out of; a group in which nobody is left is gone
 */
public record GroupChange(
    @NotNull @Size(max = MOST) List<@NotNull @Size(max = LONGEST) String> into,
    @NotNull @Size(max = MOST) List<@NotNull @Size(max = LONGEST) String> outOf) {
  private static final int MOST = 20;
  private static final int LONGEST = 60;
}
