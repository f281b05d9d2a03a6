package oficina.core.figures;

import java.time.Duration;
import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;

/** That a member has spoken with a caller of a line, from the answer until they left the call. */
public record Served(CallId call, GroupId line, PersonId person, Instant answered, Duration talked)
    implements Fact {}
