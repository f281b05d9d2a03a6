package oficina.core.figures;

import java.time.Duration;
import java.time.Instant;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;

/** That a member has written down what a call of a line was about. */
public record Finished(GroupId line, PersonId person, Instant began, Duration took)
    implements Fact {}
