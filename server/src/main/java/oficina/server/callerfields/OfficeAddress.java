package oficina.server.callerfields;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import oficina.core.numbers.PhoneNumber;
import oficina.server.callerfields.Answer.Trouble;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Asks an address of the office's own about callers: by GET, with the number and what the caller
 * has keyed in, for a JSON object of names and values. It has one second. No thread waits for it,
 * and each caller is asked for once, however many look.
 */
@Component
public class OfficeAddress {
  private static final Duration PATIENCE = Duration.ofSeconds(1);
  private static final Duration KEPT = Duration.ofMinutes(10);
  private static final int MOST_KEPT = 2_000;
  private static final int MOST_AT_ONCE = 50;
  private static final int MOST_ENTRIES = 8;
  private static final int LONGEST_NAME = 40;
  private static final int LONGEST_VALUE = 160;

  private static final String NUMBER = "{number}";
  private static final String DIGITS = "{digits}";

  private final HttpClient client =
      HttpClient.newBuilder()
          .connectTimeout(PATIENCE)
          .followRedirects(HttpClient.Redirect.NEVER)
          .build();
  private final JsonMapper json = JsonMapper.builder().build();
  private final Semaphore free = new Semaphore(MOST_AT_ONCE);
  private final Cache<URI, CompletableFuture<Answer>> asked =
      Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(KEPT).build();

  /**
   * Refuses what can be no address.
   *
   * @param address may be empty
   * @throws Problem when nothing could be asked there
   */
  public static void check(String address) {
    if (!address.isEmpty() && (uri(address, null, "") == null)) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_ADDRESS", Map.of("typed", address));
    }
  }

  private static @Nullable URI uri(String address, @Nullable PhoneNumber number, String digits) {
    String e164 = number == null ? "" : URLEncoder.encode(number.e164(), StandardCharsets.UTF_8);
    try {
      URI uri = new URI(address.replace(NUMBER, e164).replace(DIGITS, digits));
      boolean web = "http".equals(uri.getScheme()) || "https".equals(uri.getScheme());
      return web && uri.getHost() != null ? uri : null;
    } catch (URISyntaxException e) {
      return null;
    }
  }

  /**
   * What this address knows of a caller.
   *
   * @param number null when it is withheld
   * @param digits what they have keyed in; may be empty
   */
  Answer ask(String address, @Nullable PhoneNumber number, String digits) {
    URI uri = uri(address, number, digits);
    if (uri == null) {
      return Answer.not(Trouble.FAILED);
    }
    CompletableFuture<Answer> asking = asked.get(uri, this::ask);
    Answer answer = asking.join();
    if (answer.trouble() != null) {
      asked.asMap().remove(uri, asking); // asked anew by whoever looks next
    }
    return answer;
  }

  private CompletableFuture<Answer> ask(URI uri) {
    if (!free.tryAcquire()) {
      return CompletableFuture.completedFuture(Answer.not(Trouble.SLOW));
    }
    HttpRequest request =
        HttpRequest.newBuilder(uri).timeout(PATIENCE).header("Accept", "application/json").build();
    CompletableFuture<HttpResponse<byte[]>> sent =
        client.sendAsync(request, info -> new LimitedBody());
    // A copy: what takes too long is cancelled, and not only waited for no longer.
    return sent.copy()
        .orTimeout(PATIENCE.toMillis(), TimeUnit.MILLISECONDS)
        .handle(
            (response, error) -> {
              free.release();
              sent.cancel(true);
              return response == null ? failed(error) : read(response);
            });
  }

  private static Answer failed(Throwable error) {
    Throwable cause = error.getCause() == null ? error : error.getCause();
    boolean slow =
        cause instanceof TimeoutException || cause instanceof java.net.http.HttpTimeoutException;
    return Answer.not(slow ? Trouble.SLOW : Trouble.FAILED);
  }

  private Answer read(HttpResponse<byte[]> response) {
    if (response.statusCode() == HttpStatus.NOT_FOUND.value()
        || response.statusCode() == HttpStatus.NO_CONTENT.value()) {
      return new Answer(List.of(), null); // they know nothing of this caller
    }
    if (response.statusCode() != HttpStatus.OK.value()) {
      return Answer.not(Trouble.FAILED);
    }
    try {
      JsonNode body = json.readTree(response.body());
      return body.isObject() ? new Answer(entries(body), null) : Answer.not(Trouble.WRONG);
    } catch (JacksonException e) {
      return Answer.not(Trouble.WRONG);
    }
  }

  private static List<Answer.Entry> entries(JsonNode body) {
    List<Answer.Entry> entries = new ArrayList<>();
    for (Map.Entry<String, JsonNode> each : body.properties()) {
      JsonNode value = each.getValue();
      if (value.isValueNode() && !value.isNull() && entries.size() < MOST_ENTRIES) {
        entries.add(
            new Answer.Entry(
                cut(each.getKey(), LONGEST_NAME), cut(value.asString(), LONGEST_VALUE)));
      }
    }
    return List.copyOf(entries);
  }

  private static String cut(String text, int longest) {
    return text.length() <= longest ? text : text.substring(0, longest - 1) + "…";
  }
}
