package oficina.server.voicemail;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.SpokenNumbers;
import oficina.core.people.PersonId;
import oficina.server.keeping.TranscriptState;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.speech.Transcriber;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Messages as the pages show them. */
@Component
class MessageViews {
  private static final int FIRST_WORDS = 14;

  private final OfficeData office;
  private final Parties parties;

  MessageViews(OfficeData office, Parties parties) {
    this.office = office;
    this.parties = parties;
  }

  /**
   * Who did something with a message, and when.
   *
   * @param mine whether that was the reader
   */
  record DeedView(String name, boolean mine, Instant at) {}

  /**
   * A message in the list.
   *
   * @param line the group in whose mailbox it is; absent in one's own
   * @param length milliseconds
   * @param fresh whether nobody has heard or dealt with it
   * @param heard who heard it first
   * @param dealt who has dealt with it
   * @param note what colleagues have written about it
   * @param passedBy the colleague who passed it on
   * @param firstWords of what was said, as far as it is written down
   */
  record MessageView(
      long id,
      PartyView who,
      @Schema(nullable = true) @Nullable String line,
      Instant began,
      long length,
      boolean fresh,
      @Schema(nullable = true) @Nullable DeedView heard,
      @Schema(nullable = true) @Nullable DeedView dealt,
      String note,
      @Schema(nullable = true) @Nullable String passedBy,
      String passedNote,
      TranscriptState transcript,
      String firstWords) {}

  /** A number that was spoken in a message, and what to dial for it. */
  record Spoken(String shown, String dial) {}

  /**
   * A message, opened.
   *
   * @param outline loudest sample of equal parts, 0 to 100
   * @param words as the machine understood them
   * @param corrected as somebody has typed it instead
   * @param numbers that were spoken
   */
  record Letter(
      MessageView message,
      List<Integer> outline,
      List<Transcriber.Word> words,
      @Schema(nullable = true) @Nullable String corrected,
      List<Spoken> numbers) {}

  MessageView view(Message message, PersonId viewer) {
    Party owner = Trays.owner(message.mailbox());
    return new MessageView(
        message.id(),
        parties.view(message.caller(), viewer),
        parties.groupLine(owner),
        message.began(),
        message.length().toMillis(),
        message.fresh(),
        deed(message.heard(), viewer),
        deed(message.dealt(), viewer),
        message.note(),
        message.passedBy() == null ? null : office.now().nameOf(message.passedBy()),
        message.passedNote(),
        message.transcript().state(),
        firstWords(message.transcript()));
  }

  private @Nullable DeedView deed(Message.@Nullable Deed deed, PersonId viewer) {
    return deed == null
        ? null
        : new DeedView(office.now().nameOf(deed.by()), deed.by().equals(viewer), deed.at());
  }

  private static String firstWords(Message.Transcript transcript) {
    List<String> words =
        transcript.corrected() == null
            ? transcript.words().stream().map(Transcriber.Word::text).toList()
            : List.of(transcript.corrected().split("\\s+"));
    String first = String.join(" ", words.subList(0, Math.min(FIRST_WORDS, words.size())));
    return words.size() > FIRST_WORDS ? first + " …" : first;
  }

  Letter letter(Message message, PersonId viewer) {
    List<Integer> outline = new ArrayList<>();
    for (byte part : message.outline()) {
      outline.add((int) part);
    }
    Message.Transcript transcript = message.transcript();
    return new Letter(
        view(message, viewer),
        outline,
        transcript.words(),
        transcript.corrected(),
        numbers(transcript));
  }

  /** What can be called of what was said. */
  private List<Spoken> numbers(Message.Transcript transcript) {
    List<Spoken> numbers = new ArrayList<>();
    List<String> words = transcript.words().stream().map(Transcriber.Word::text).toList();
    for (String digits : SpokenNumbers.in(words)) {
      PhoneNumber number = office.plan().outsideNumber(digits);
      if (number != null) {
        numbers.add(new Spoken(parties.name(new Party.Outside(number)), number.e164()));
      }
    }
    return numbers;
  }
}
