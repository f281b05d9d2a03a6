package oficina.server.push;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Something a person should be told once.
 *
 * @param what key of the sentence in the catalogue of words, under {@code notice}
 * @param about what the sentence speaks of
 * @param call in which it happened; absent when it was in none
 */
public record NoticeView(
    String what, Map<String, String> about, @Schema(nullable = true) @Nullable String call) {}
