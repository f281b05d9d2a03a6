package oficina.server.personal;

import java.util.List;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * Whom everything is wanted of.
 *
 * @param numbers theirs, in E.164, when they are outside
 * @param cards contacts that are meant, also without a number
 * @param former the employee who has left; null for somebody outside
 * @param shown how they are called in what is said of it
 * @param hint the same for the log, from which nobody learns who it was
 */
record Whom(
    List<String> numbers, List<Long> cards, @Nullable PersonId former, String shown, String hint) {}
