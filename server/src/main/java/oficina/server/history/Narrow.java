package oficina.server.history;

import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * To what somebody narrows their history down.
 *
 * @param contact only calls with this contact
 * @param person only calls with this colleague
 * @param line only calls that came in on this group's line
 * @param outcome only calls of which this came
 * @param from only calls of this day at the office, and later ones
 * @param to only calls of this day, and earlier ones
 */
record Narrow(
    @Nullable Long contact,
    @Nullable Long person,
    @Nullable Long line,
    @Nullable @Size(max = 80) @Pattern(regexp = ".*") String outcome,
    @Nullable LocalDate from,
    @Nullable LocalDate to) {}
