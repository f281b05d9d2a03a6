package oficina.server.passwords;

import org.jspecify.annotations.Nullable;

/**
 * A try at somebody's password, as it is counted.
 *
 * @param account the same however the name was written
 * @param origin network address it came from
 * @param knownBrowser hash of what the browser shows in which that person has signed in before;
 *     null in any other
 */
record Tried(String account, String origin, @Nullable String knownBrowser) {}
