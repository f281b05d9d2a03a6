package oficina.server.standins;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.server.office.DemoOffice;
import oficina.server.office.OfficeData;
import oficina.server.recordings.RecordedBefore;
import oficina.server.speech.Speaker;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** Calls that were recorded in the last days of a new demo office, spoken by this machine. */
final class DemoRecordings {
  private static final int PAUSE = Pcm.RATE / 2;

  private final OfficeData office;
  private final Speaker speaker;
  private final RecordedBefore recordings;

  DemoRecordings(OfficeData office, Speaker speaker, RecordedBefore recordings) {
    this.office = office;
    this.speaker = speaker;
    this.recordings = recordings;
  }

  /** A sentence of a conversation, as it is spoken. */
  private record Sentence(boolean ours, short[] samples) {}

  /** Has them spoken and filed, one after the other; nobody waits for it. */
  CompletableFuture<Void> file(Instant now) {
    Map<String, List<CSVRecord>> calls = new LinkedHashMap<>();
    for (CSVRecord line : DemoOffice.read("recorded.csv")) {
      calls.computeIfAbsent(line.get("minutes_ago"), ago -> new ArrayList<>()).add(line);
    }
    CompletableFuture<Void> before = CompletableFuture.completedFuture(null);
    for (List<CSVRecord> call : calls.values()) {
      before =
          before.thenCompose(
              nothing -> spoken(call).thenApply(said -> file(call.get(0), said, now)));
    }
    return before;
  }

  private CompletableFuture<List<Sentence>> spoken(List<CSVRecord> call) {
    CompletableFuture<List<Sentence>> all = CompletableFuture.completedFuture(new ArrayList<>());
    for (CSVRecord line : call) {
      all =
          all.thenCombine(
              speaker.say(Speaker.Voice.of(line.get("voice")), line.get("text")),
              (said, samples) -> {
                said.add(new Sentence(line.get("side").equals("us"), samples));
                return said;
              });
    }
    return all;
  }

  private @Nullable Void file(CSVRecord call, List<Sentence> said, Instant now) {
    int length = said.stream().mapToInt(each -> each.samples().length + PAUSE).sum();
    short[] ours = new short[length];
    short[] theirs = new short[length];
    int at = 0;
    for (Sentence each : said) {
      short[] side = each.ours() ? ours : theirs;
      System.arraycopy(each.samples(), 0, side, at, each.samples().length);
      at += each.samples().length + PAUSE;
    }
    PersonId owner = office.directory().personAt(call.get("extension")).orElseThrow().id();
    if (at > said.size() * PAUSE) { // nothing where the machine cannot speak
      Instant began = now.minus(Duration.ofMinutes(Long.parseLong(call.get("minutes_ago"))));
      Party caller = new Party.Outside(new PhoneNumber(call.get("number")));
      recordings.file(owner, caller, began, Arrays.copyOf(ours, at), Arrays.copyOf(theirs, at));
    }
    return null;
  }
}
