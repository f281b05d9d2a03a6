package oficina.server.personal;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import oficina.core.call.Occasion;
import oficina.core.call.Owner;
import oficina.core.people.PersonId;
import oficina.core.sound.Wav;
import oficina.server.greetings.GreetingStore;
import oficina.server.json.CoreJson;
import oficina.server.keeping.SoundFile;
import oficina.server.keeping.SoundStore;
import org.springframework.stereotype.Component;

/**
 * Everything of somebody in one file: a ZIP with everything.json, whose parts are called as the
 * tables they come from are in what is said of them, and each sound as a WAV file named by its
 * {@code sound_id}, each greeting by its occasion.
 */
@Component
class PersonalFile {
  private final PersonalData data;
  private final TraceStore traces;
  private final SoundStore sounds;
  private final GreetingStore greetings;

  PersonalFile(PersonalData data, TraceStore traces, SoundStore sounds, GreetingStore greetings) {
    this.data = data;
    this.traces = traces;
    this.sounds = sounds;
    this.greetings = greetings;
  }

  void write(Whom whom, Instant at, OutputStream to) throws IOException {
    Map<String, Object> everything = new LinkedHashMap<>();
    everything.put("about", whom.shown());
    everything.put("at", at.toString());
    Map<String, List<Map<String, Object>>> parts = new LinkedHashMap<>();
    Set<Long> heard = new HashSet<>();
    data.read(
        whom,
        (trace, about) ->
            traces.read(
                trace,
                about,
                row -> {
                  parts.computeIfAbsent(trace.name(), name -> new ArrayList<>()).add(row);
                  if (row.get("sound_id") instanceof Number sound) {
                    heard.add(sound.longValue());
                  }
                }));
    everything.put("parts", parts);
    try (ZipOutputStream zip = new ZipOutputStream(to)) {
      zip.putNextEntry(new ZipEntry("everything.json"));
      zip.write(CoreJson.JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(everything));
      heard.forEach(each -> sound(each, zip));
      if (whom.former() != null) {
        greetings(whom.former(), zip);
      }
    }
  }

  private void greetings(PersonId former, ZipOutputStream zip) throws IOException {
    for (Map.Entry<Occasion, short[]> each : greetings.all(Owner.key(former)).entrySet()) {
      zip.putNextEntry(new ZipEntry("sounds/greeting-" + each.getKey() + ".wav"));
      zip.write(Wav.write(each.getValue()));
    }
  }

  private void sound(long id, ZipOutputStream zip) {
    sounds
        .sound(id)
        .ifPresent(
            sound -> {
              String name = "sounds/" + id + ".wav";
              try (InputStream wav = new SoundFile(name, sound, sounds).getInputStream()) {
                zip.putNextEntry(new ZipEntry(name));
                wav.transferTo(zip);
              } catch (IOException e) {
                throw new UncheckedIOException(e);
              }
            });
  }
}
