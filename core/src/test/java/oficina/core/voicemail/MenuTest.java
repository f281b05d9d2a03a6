package oficina.core.voicemail;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import oficina.core.voicemail.Menu.Deed;
import oficina.core.voicemail.Menu.Step;
import oficina.core.voicemail.Say.Words;
import org.junit.jupiter.api.Test;

class MenuTest {

  private static Step keys(Menu menu, String keys) {
    Step last = null;
    for (char key : keys.toCharArray()) {
      last = menu.key(key);
    }
    return last;
  }

  @Test
  void from_outside_extension_and_pin_are_asked_for_and_from_ones_telephone_the_pin_alone() {
    Menu outside = new Menu(null);
    assertThat(outside.begin().say()).containsExactly(Words.ENTER_EXTENSION);
    assertThat(keys(outside, "221#").say()).containsExactly(Words.ENTER_PIN);
    assertThat(keys(outside, "4711#").deeds()).containsExactly(Deed.CHECK_PIN);
    assertThat(outside.extension()).isEqualTo("221");
    assertThat(outside.pin()).isEqualTo("4711");
    assertThat(new Menu("201").begin().say()).containsExactly(Words.ENTER_PIN);
  }

  @Test
  void three_wrong_ones_end_it_and_nobody_learns_which_extensions_there_are() {
    Menu menu = new Menu(null);
    for (int i = 0; i < 2; i++) {
      keys(menu, "999#1#");
      assertThat(menu.wrongPin().say()).containsExactly(Words.WRONG_PIN, Words.ENTER_EXTENSION);
    }
    keys(menu, "999#1#");
    assertThat(menu.wrongPin().deeds()).containsExactly(Deed.END);
    assertThat(menu.key('1').say()).isEmpty();
  }

  @Test
  void messages_are_heard_again_kept_deleted_and_returned() {
    Menu menu = new Menu("201");
    Step first = menu.open(1, 3);
    assertThat(first.say())
        .containsExactly(new Say.Count(1, 3), new Say.Head(0), new Say.Sound(0), Words.CHOICES);
    assertThat(first.deeds()).containsExactly(Deed.HEARD);
    assertThat(menu.key('1').say()).contains(new Say.Sound(0));
    assertThat(menu.key('2').say()).contains(new Say.Sound(1));
    assertThat(menu.key('5').deeds()).containsExactly(Deed.SLOWER);
    assertThat(menu.key('6').deeds()).containsExactly(Deed.FASTER);
    Step deleted = menu.key('3');
    assertThat(deleted.deeds()).containsExactly(Deed.DELETE, Deed.HEARD);
    assertThat(menu.at()).as("the next has moved up").isEqualTo(1);
    assertThat(menu.key('4').deeds()).containsExactly(Deed.CALL_BACK);
    assertThat(menu.key('2').say()).containsExactly(Words.NO_MORE, Words.CHOICES_WITHOUT);
    assertThat(menu.key('3').deeds()).isEmpty();
    assertThat(menu.key('6').deeds()).isEmpty();
    assertThat(menu.key('0').deeds()).containsExactly(Deed.END);
  }

  @Test
  void a_greeting_is_recorded_until_any_key() {
    Menu menu = new Menu("201");
    menu.open(0, 0);
    assertThat(menu.key('9').deeds()).containsExactly(Deed.RECORD_GREETING);
    assertThat(menu.key('#').deeds()).containsExactly(Deed.KEEP_GREETING);
    assertThat(menu.key('1').say()).contains(Words.NO_MORE);
  }

  @Test
  void no_sequence_of_keys_leads_beyond_the_messages_there_are() {
    Random random = new Random(7);
    for (int seed = 0; seed < 500; seed++) {
      Menu menu = new Menu("201");
      int left = random.nextInt(4);
      menu.open(0, left);
      for (int i = 0; i < 40; i++) {
        Step step = menu.key("0123456789*#".charAt(random.nextInt(12)));
        left -= step.deeds().contains(Deed.DELETE) ? 1 : 0;
        assertThat(menu.at()).isBetween(0, left);
        if (step.deeds().contains(Deed.HEARD) || step.deeds().contains(Deed.CALL_BACK)) {
          assertThat(menu.at()).as("a message is at hand").isLessThan(left);
        }
      }
    }
  }
}
