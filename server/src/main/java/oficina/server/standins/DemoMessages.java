package oficina.server.standins;

import java.time.Duration;
import java.time.Instant;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.server.mailboxes.LeftBefore;
import oficina.server.office.DemoOffice;
import oficina.server.office.OfficeData;
import oficina.server.speech.Speaker;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** Messages that were left in the last days of a new demo office, spoken by this machine. */
final class DemoMessages {
  private static final int FAINT = 40;

  private final OfficeData office;
  private final Speaker speaker;
  private final LeftBefore messages;

  DemoMessages(OfficeData office, Speaker speaker, LeftBefore messages) {
    this.office = office;
    this.speaker = speaker;
    this.messages = messages;
  }

  /** Has them spoken and filed, the earliest first; nobody waits for it. */
  CompletableFuture<Void> leave(Instant now) {
    CompletableFuture<Void> before = CompletableFuture.completedFuture(null);
    for (CSVRecord line : DemoOffice.read("messages.csv")) {
      before = before.thenCombine(spoken(line), (nothing, samples) -> file(line, samples, now));
    }
    return before;
  }

  private CompletableFuture<short[]> spoken(CSVRecord line) {
    return line.get("text") == null
        ? CompletableFuture.completedFuture(hardlyAnything())
        : speaker.say(Speaker.Voice.of(line.get("voice")), line.get("text"));
  }

  /** Somebody breathes, and a line hums. */
  private static short[] hardlyAnything() {
    Random random = new Random(2);
    short[] samples = new short[Pcm.samples(Duration.ofSeconds(4))];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = (short) (random.nextInt(2 * FAINT) - FAINT);
    }
    return samples;
  }

  private @Nullable Void file(CSVRecord line, short[] samples, Instant now) {
    String number = line.get("number");
    Party owner =
        office
            .directory()
            .personAt(line.get("extension"))
            .<Party>map(person -> new Party.Employee(person.id()))
            .or(
                () ->
                    office
                        .directory()
                        .groupAt(line.get("extension"))
                        .map(group -> new Party.Members(group.id())))
            .orElseThrow();
    if (samples.length > 0) { // none where the machine cannot speak
      messages.file(
          owner,
          new Party.Outside(number == null ? null : new PhoneNumber(number)),
          now.minus(Duration.ofMinutes(Long.parseLong(line.get("minutes_ago")))),
          samples,
          heardBy(line.get("heard_by")));
    }
    return null;
  }

  private @Nullable PersonId heardBy(@Nullable String extension) {
    return extension == null ? null : office.directory().personAt(extension).orElseThrow().id();
  }
}
