package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What {@code ./oficina} does when a server does not do what it is told. */
class ScriptTest {
  /** A process in the server's place that is told to end and does not. */
  private static final String DEAF =
      """
      (trap '' TERM; touch deaf; exec sleep 600) >/dev/null 2>&1 &
      remember server $!; disown
      until [ -e deaf ]; do sleep 0.01; done; rm deaf
      """;

  @TempDir private Path home;
  private Script script;

  @BeforeEach
  void copy() throws IOException {
    script = new Script(home);
  }

  private String run(String commands) throws IOException, InterruptedException {
    return script.run(commands);
  }

  @Test
  void a_server_that_does_not_end_is_ended_for_certain_and_that_is_said() throws Exception {
    String said =
        run(
            DEAF
                + """
                read -r pid _ <$RUN/server.pid
                end server 1
                [ -z "$(began $pid)" ] && say over
                """);
    assertThat(said).contains("does not end by itself").endsWith("over\n");
  }

  @Test
  void another_process_with_the_number_of_one_that_is_gone_is_not_taken_for_it() throws Exception {
    String said =
        run(
            DEAF
                + """
                alive server && say lives
                read -r pid _ <$RUN/server.pid
                echo "$$ 1" >$RUN/server.pid
                alive server || say gone
                kill -KILL $pid
                """);
    assertThat(said).isEqualTo("lives\ngone\n");
  }

  /** At first a process is still this script, and the server all the same. */
  @Test
  void a_server_is_alive_from_its_first_moment() throws Exception {
    String said =
        run(
            """
            for i in $(seq 1 50); do
              exec sleep 5 >/dev/null 2>&1 & remember server $!; disown
              alive server || say "not alive"
              kill $!
            done
            """);
    assertThat(said).isEmpty();
  }

  @Test
  void how_to_sign_in_to_a_new_office_is_said_once() throws Exception {
    String said =
        run(
            """
            echo sesame >$RUN/first-password
            touch $RUN/server.log
            say_how_to_sign_in
            say_how_to_sign_in
            """);
    assertThat(said)
        .containsOnlyOnce("Sign in as admin with the password sesame")
        .contains("Sign in with your name or extension.");
  }

  @Test
  void the_watch_starts_a_server_again_that_has_died_and_one_that_does_not_answer()
      throws Exception {
    String said =
        run(
            """
            PATIENCE=1 START_PATIENCE=1
            start_database() { true; }
            start_server() {
              say started >>starts
              %s
            }
            touch $RUN/server.log starts
            watch & watching=$!; disown
            until [ "$(wc -l <starts)" = 2 ]; do sleep 0.1; done
            kill $watching
            end server 1
            cat $RUN/watch.log
            """
                .formatted(DEAF));
    assertThat(said).containsSubsequence("The server has ended", "The server has not answered for");
  }

  @Test
  void of_a_log_that_has_become_too_long_the_end_is_kept_while_it_is_written_on() throws Exception {
    String said =
        run(
            """
            LOG_MOST=1000
            exec 9>>$RUN/server.log
            seq 1 1000 >&9
            shorten $RUN/server.log $RUN/none.log
            echo later >&9
            wc -c <$RUN/server.log; tail -n 2 $RUN/server.log
            """);
    assertThat(said).isEqualTo("106\n1000\nlater\n");
  }

  @Test
  void there_is_one_backup_of_each_day_and_the_newest_are_kept() throws Exception {
    String said =
        run(
            """
            OFICINA_BACKUP_DIR=$PWD/kept OFICINA_BACKUP_AT=00:00 OFICINA_BACKUP_KEEP=2
            mkdir kept; touch kept/oficina-2026-01-0{1,2,3}.backup kept/mine
            backup() { echo made >>made; touch "$1"; }
            nightly_backup; wait; nightly_backup; wait
            cat made; ls kept | sed "s/$(date +%F)/today/"
            rm kept/oficina-$(date +%F).backup $RUN/backup.tried
            backup() { echo failed >>failed; return 1; }
            nightly_backup; wait; nightly_backup; wait
            cat failed
            OFICINA_BACKUP_DIR= nightly_backup
            """);
    assertThat(said)
        .isEqualTo("made\nmine\noficina-2026-01-03.backup\noficina-today.backup\nfailed\n");
  }

  /** Moved from one place to the other one by one: it may be killed between any two of them. */
  @Test
  void a_restore_that_was_interrupted_is_carried_on_with_the_next_start() throws Exception {
    String said =
        run(
            """
            mkdir -p $HOME_DIR/restored $HOME_DIR/aside $DATA
            touch $DATA/new $HOME_DIR/restored/password.new
            echo old >$HOME_DIR/aside/data
            echo old >$HOME_DIR/password; echo new >$HOME_DIR/restored/password
            echo $HOME_DIR/aside >$HOME_DIR/restored/whole
            take_place; take_place
            cat $HOME_DIR/password $HOME_DIR/aside/password
            ls $DATA; [ -e $HOME_DIR/restored ] || say done
            """);
    assertThat(said).endsWith("new\nold\nnew\ndone\n").contains("What there was before is in");
  }
}
