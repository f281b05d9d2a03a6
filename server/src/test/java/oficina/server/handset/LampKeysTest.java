package oficina.server.handset;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import org.junit.jupiter.api.Test;

class LampKeysTest {
  private static final PersonId INES = new PersonId(1);
  private static final PersonId UNA = new PersonId(2);

  @Test
  void keys_stand_for_the_same_at_its_new_extension_and_for_nothing_when_it_is_gone() {
    PhoneStore store = mock(PhoneStore.class);
    List<String> others = List.of("", "300");
    when(store.keys())
        .thenReturn(Map.of(INES, Arrays.asList("", "221", "220", null, "61"), UNA, others));
    LampKeys keys = new LampKeys(store, mock(OfficeData.class));
    keys.follow(Map.of("221", "229", "220", ""));
    List<String> then = Arrays.asList("", "229", null, null, "61");
    assertThat(keys.of(INES)).isEqualTo(then);
    verify(store).keepKeys(INES, then);
    verify(store, never()).keepKeys(UNA, others);
  }
}
