package oficina.server.door;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.util.unit.DataSize;

/**
 * How much is taken in. Far more than a person with a browser asks for, and far less than it takes
 * to keep the calls of others waiting.
 *
 * @param body the largest body of a request
 * @param upload the largest file
 * @param uploads files one person may send at once after a pause, and then one each five seconds
 * @param address the longest address of a request, query included, in characters
 * @param requestsPerSecond for each sign-in, or each origin where nobody is signed in
 * @param burst how many may come at once after a pause
 * @param socketsPerPerson open pages of one person
 * @param socketsPerOrigin open pages from one network address: a whole office behind one of them
 * @param signInUnused how long a sign-in lasts that nobody uses, where the office says nothing else
 * @param signInLongest how long a sign-in lasts at most, where the office says nothing else
 */
@ConfigurationProperties("oficina.limits")
public record Limits(
    @DefaultValue("64KB") DataSize body,
    @DefaultValue("32MB") DataSize upload,
    @DefaultValue("30") int uploads,
    @DefaultValue("4000") int address,
    @DefaultValue("50") int requestsPerSecond,
    @DefaultValue("200") int burst,
    @DefaultValue("12") int socketsPerPerson,
    @DefaultValue("1000") int socketsPerOrigin,
    @DefaultValue("12h") Duration signInUnused,
    @DefaultValue("7d") Duration signInLongest) {}
