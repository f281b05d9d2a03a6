package oficina.server.recordings;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.server.keeping.KeptSound;
import oficina.server.keeping.SoundAnswer;
import oficina.server.keeping.SoundFile;
import oficina.server.keeping.SoundStore;
import oficina.server.keeping.WebVtt;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import oficina.server.recordings.LogStore.Deed;
import oficina.server.recordings.RecordingStore.Recording;
import oficina.server.softphone.OpusFile;
import oficina.server.speech.Transcriber.Word;
import oficina.server.tapes.TapeWriter;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * What is heard of recordings and saved of them, each time logged. Those to whom one was handed for
 * a time hear it; only its owner saves it, or the time would mean nothing.
 */
@RestController
@RequestMapping("/api/recordings/{id}")
class RecordedSoundController {
  private final Hearing hearing;
  private final RecordingStore recordings;
  private final SoundStore sounds;
  private final Parties parties;

  RecordedSoundController(
      Hearing hearing, RecordingStore recordings, SoundStore sounds, Parties parties) {
    this.hearing = hearing;
    this.recordings = recordings;
    this.sounds = sounds;
    this.parties = parties;
  }

  /** Its sound, also parts of it (byte ranges, RFC 9110): ours left, theirs right. */
  @GetMapping(path = "/sound", produces = "audio/wav")
  ResponseEntity<Resource> sound(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @RequestHeader(name = HttpHeaders.RANGE, defaultValue = "") String range) {
    Recording recording = hearing.may(me, id);
    hearing.logOnce(recording, me, Deed.LISTENED);
    return SoundAnswer.of(file(recording), range);
  }

  private SoundFile file(Recording recording) {
    return new SoundFile(name(recording, "wav"), recordings.sound(recording), sounds);
  }

  private static String name(Recording recording, String ending) {
    return "recording-" + recording.id() + "." + ending;
  }

  private Recording saves(Employee me, long id, String form) {
    Recording recording = hearing.own(me, id);
    hearing.log(recording, me, Deed.SAVED, form);
    return recording;
  }

  private static ResponseEntity.BodyBuilder attached(Recording recording, String ending) {
    String named =
        ContentDisposition.attachment().filename(name(recording, ending)).build().toString();
    return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, named);
  }

  /** Its sound, to be saved. */
  @GetMapping(path = "/file", produces = "audio/wav")
  ResponseEntity<Resource> save(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    Recording recording = saves(me, id, "WAV");
    return SoundAnswer.toBeSaved(file(recording));
  }

  /** Its sound as a smaller file, both sides in one channel (Opus in Ogg, RFC 7845). */
  @GetMapping(path = "/opus", produces = "audio/ogg")
  ResponseEntity<byte[]> saveSmall(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    if (!OpusFile.possible()) {
      throw new Problem(HttpStatus.CONFLICT, "NO_OPUS");
    }
    Recording recording = saves(me, id, "Opus");
    SoundStore.Sound sound = recordings.sound(recording);
    return attached(recording, "ogg")
        .body(OpusFile.of(sound.seconds(), second -> together(sound, second)));
  }

  /** A second of both channels, added up. */
  private short[] together(SoundStore.Sound sound, int second) {
    short[] both = KeptSound.samples(sounds.second(sound.id(), second));
    short[] one = new short[both.length / TapeWriter.CHANNELS];
    for (int i = 0; i < one.length; i++) {
      one[i] = Pcm.clip((double) both[2 * i] + both[2 * i + 1]);
    }
    return one;
  }

  /** What was said, with times and by whom (WebVTT), to be saved. */
  @GetMapping(path = "/text", produces = "text/vtt")
  ResponseEntity<byte[]> text(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    Recording recording = saves(me, id, "WebVTT");
    String text = WebVtt.of(cues(recording, me.id()));
    return attached(recording, "vtt").body(text.getBytes(StandardCharsets.UTF_8));
  }

  private List<WebVtt.Cue> cues(Recording recording, PersonId reader) {
    List<String> names =
        List.of(
            parties.name(new Party.Employee(recording.owner())),
            parties.name(recording.other(), reader));
    List<List<Word>> channels = recordings.inside(recording.id()).words();
    List<WebVtt.Cue> cues = new ArrayList<>();
    for (int channel = 0; channel < channels.size(); channel++) {
      cues.addAll(WebVtt.cues(channels.get(channel), names.get(channel)));
    }
    cues.sort(Comparator.comparing(WebVtt.Cue::from));
    return cues;
  }
}
