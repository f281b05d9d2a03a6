package oficina.server.push;

import java.util.Map;

/**
 * Something a person should be told once.
 *
 * @param what key of the sentence in the catalogue of words, under {@code notice}
 * @param about what the sentence speaks of
 */
public record NoticeView(String what, Map<String, String> about) {}
