package oficina.server.attendants;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import oficina.core.people.PersonId;
import oficina.server.attendants.Pins.At;
import oficina.server.time.MovableClock;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.password.PasswordEncoder;

/** Secret numbers, and whoever tries to guess one. */
class PinsTest {
  private static final PersonId LOTTE = new PersonId(1);
  private static final At OWN = new At("own", true);
  private final MovableClock clock = new MovableClock();
  private final AtomicInteger compared = new AtomicInteger();
  private Pins pins;

  @BeforeEach
  void set() {
    PinStore store = mock(PinStore.class);
    when(store.hash(any())).thenReturn(Optional.of("804172"));
    PasswordEncoder encoder = mock(PasswordEncoder.class);
    when(encoder.matches(any(), any()))
        .thenAnswer(
            asked -> {
              compared.incrementAndGet();
              return asked.getArgument(0).equals(asked.getArgument(1));
            });
    pins = new Pins(store, encoder, clock);
  }

  @Test
  void wrong_ones_at_one_telephone_keep_nobody_out_at_another() {
    At joss = new At("joss", false);
    for (int i = 0; i < 9; i++) {
      assertThat(pins.isRight(LOTTE, "000000", joss)).isFalse();
    }
    assertThat(compared.get()).isEqualTo(3);
    assertThat(pins.isRight(LOTTE, "804172", joss)).as("right, and too soon there").isFalse();
    assertThat(pins.isRight(LOTTE, "804172", OWN)).isTrue();
    assertThat(pins.isRight(LOTTE, "804172", new At("nell", false))).isTrue();
    clock.advance(Duration.ofSeconds(31));
    assertThat(pins.isRight(LOTTE, "804172", joss)).isTrue();
  }

  @Test
  void from_all_other_telephones_together_few_are_tried_and_the_own_one_goes_on() {
    for (int i = 0; i < 200; i++) {
      pins.isRight(LOTTE, "000000", new At("outside " + i, false));
    }
    assertThat(compared.get()).isEqualTo(10);
    assertThat(pins.isRight(LOTTE, "804172", new At("another", false))).isFalse();
    assertThat(pins.isRight(LOTTE, "804172", OWN)).isTrue();
    clock.advance(Duration.ofMinutes(10));
    assertThat(pins.isRight(LOTTE, "804172", new At("another", false))).isTrue();
  }

  @Test
  void of_many_at_once_no_more_are_tried_than_one_after_the_other() throws Exception {
    ExecutorService many = Executors.newFixedThreadPool(16);
    List<Future<Boolean>> tries = new ArrayList<>();
    for (int i = 0; i < 100; i++) {
      String pin = "00%04d".formatted(i);
      tries.add(many.submit(() -> pins.isRight(LOTTE, pin, new At("joss", false))));
    }
    for (Future<Boolean> each : tries) {
      assertThat(each.get()).isFalse();
    }
    many.shutdown();
    assertThat(compared.get()).isEqualTo(3);
  }
}
