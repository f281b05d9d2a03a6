package oficina.server.greetings;

import java.io.IOException;
import java.time.Instant;
import java.util.Optional;
import java.util.Properties;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import oficina.core.call.Occasion;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.server.people.Parties;
import oficina.server.speech.Speaker;
import oficina.server.threads.Threads;
import oficina.server.time.MovableClock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.support.PropertiesLoaderUtils;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * What a mailbox says first: the greeting that its owner has made for the occasion, or for whenever
 * nobody answers, or a sentence with the owner's name.
 */
@Component
public class Greetings {
  private static final Logger LOG = LoggerFactory.getLogger(Greetings.class);

  /** Callers wait no longer for a greeting that the database has. */
  private static final int PATIENCE_SECONDS = 2;

  private static final int AT_ONCE = 4;

  private final ExecutorService work =
      Executors.newFixedThreadPool(AT_ONCE, Threads.named("greetings"));
  private final GreetingStore store;
  private final Speaker speaker;
  private final Parties parties;
  private final MovableClock clock;
  private final Properties sentences;

  Greetings(GreetingStore store, Speaker speaker, Parties parties, MovableClock clock)
      throws IOException {
    this.store = store;
    this.speaker = speaker;
    this.parties = parties;
    this.clock = clock;
    sentences =
        PropertiesLoaderUtils.loadProperties(
            new ClassPathResource("speech/greetings.en.properties"));
  }

  /** The greeting, as soon as it is there; no samples when the machine cannot speak. */
  public CompletableFuture<short[]> spoken(Party owner, Occasion occasion) {
    return CompletableFuture.supplyAsync(() -> made(Owner.key(owner), occasion), work)
        .completeOnTimeout(Optional.empty(), PATIENCE_SECONDS, TimeUnit.SECONDS)
        .thenCompose(
            made ->
                made.map(CompletableFuture::completedFuture)
                    .orElseGet(() -> typed(usual(owner, occasion))))
        .exceptionally(
            e -> {
              LOG.error("A mailbox greets with its tone alone", e);
              return new short[0];
            });
  }

  private Optional<short[]> made(String mailbox, Occasion occasion) {
    try {
      Instant now = clock.instant();
      Optional<short[]> forThis = store.samples(mailbox, occasion, now);
      boolean forAll = occasion != Occasion.WELCOME;
      return forThis.isPresent() || !forAll
          ? forThis
          : store.samples(mailbox, Occasion.NO_ANSWER, now);
    } catch (DataAccessException e) {
      LOG.warn("The greeting of {} cannot be read now: {}", mailbox, e.getMessage());
      return Optional.empty();
    }
  }

  /** The sentence that is said where nothing else was made. */
  String usual(Party owner, Occasion occasion) {
    return sentences.getProperty(occasion.name()).replace("{name}", parties.name(owner));
  }

  /** That nobody has the extension that was dialled. */
  public CompletableFuture<short[]> noSuchExtension() {
    return typed(sentences.getProperty("NO_SUCH_EXTENSION"));
  }

  private CompletableFuture<short[]> typed(String text) {
    return speaker.say(Speaker.Voice.ALDER, text);
  }
}
