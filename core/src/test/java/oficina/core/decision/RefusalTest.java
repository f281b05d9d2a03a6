package oficina.core.decision;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import oficina.core.decision.Refusal.Reason;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import org.junit.jupiter.api.Test;

/** What sentences about refusals are made of. */
class RefusalTest {
  private static Map<String, String> words(Refusal refusal) {
    return refusal.words(person -> "colleague " + person);
  }

  @Test
  void whoever_it_speaks_of_is_named_for_the_reader() {
    Refusal refusal = Refusal.of(Reason.MEANT_FOR_OTHER, new PersonId(9));
    assertThat(refusal.code()).isEqualTo("MEANT_FOR_OTHER");
    assertThat(words(refusal)).isEqualTo(Map.of("person", "colleague 9"));
    assertThat(words(Refusal.answeredBy(new PersonId(9)))).containsKey("person");
  }

  @Test
  void slots_and_limits_are_told_as_they_are() {
    assertThat(words(Refusal.ofSlot(Reason.SLOT_TAKEN, "61"))).isEqualTo(Map.of("slot", "61"));
    assertThat(words(Refusal.of(Reason.CONFERENCE_FULL, 4))).isEqualTo(Map.of("limit", "4"));
    assertThat(words(Refusal.of(Reason.NOT_HELD))).isEmpty();
  }

  @Test
  void of_a_text_that_cannot_be_called_the_sentence_says_what_is_wrong_with_it() {
    Dialled.NotCallable no = new Dialled.NotCallable(Dialled.Why.TOO_SHORT, "0121 49", List.of());
    Refusal refusal = Refusal.notCallable(no);
    assertThat(refusal.code()).isEqualTo("NOT_CALLABLE_TOO_SHORT");
    assertThat(words(refusal)).containsEntry("text", "0121 49");
  }
}
