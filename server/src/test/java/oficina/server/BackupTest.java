package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** {@code ./oficina backup} while calls go on, and {@code ./oficina restore} of it elsewhere. */
class BackupTest {
  private static final String GREETING = "/NO_ANSWER/sound";

  @TempDir private Path folder;
  private Script script;
  private Path backup;

  @BeforeEach
  void place() throws IOException {
    script = new Script(Files.createDirectory(folder.resolve("copy")));
    backup = folder.resolve("office.backup");
    Files.writeString(folder.resolve("passphrase"), "nobody else knows");
  }

  private String command(Path home, String more, String command) throws Exception {
    // Only a part of what they do: nothing is to be installed or built here.
    return script.run(
        "install_packages() { :; }; schema() { echo 999; }; home_is %s; %s backup_command %s %s --passphrase-file %s"
            .formatted(home, more, command, backup, folder.resolve("passphrase")));
  }

  @Test
  void what_there_was_is_there_again_in_another_place() throws Exception {
    JsonNode history;
    JsonNode contacts;
    byte[] greeting;
    String mailbox;
    byte[] key;
    try (ServerProcess server = new ServerProcess()) {
      server.start();
      Client lotte = Client.signedIn(server.address(), "lotte");
      mailbox = lotte.get("/api/greetings").body().get(0).get("mailbox").asString();
      byte[] spoken = Wav.write(tone());
      assertThat(lotte.upload("/api/greetings/" + mailbox + GREETING, spoken).status())
          .isEqualTo(204);
      lotte.post(
          "/api/contacts",
          Map.of("own", true, "card", ContactsOverHttpTest.card("Nell Otway", "", List.of())));
      lotte.service(lotte.call("0121 496 0103"), "clear");
      history = lotte.get("/api/history").body();
      contacts = lotte.get("/api/contacts?whose=OWN").body();
      greeting = lotte.bytes("/api/greetings/" + mailbox + GREETING).body();
      key = Files.readAllBytes(server.database().beside("secrets.key"));
      AtomicBoolean over = new AtomicBoolean();
      List<Traffic> traffic = new ArrayList<>();
      for (List<String> each :
          List.of(List.of("ines", "tomasz", "61"), List.of("adaeze", "una", "62"))) {
        traffic.add(new Traffic(server, each.get(0), each.get(1), each.get(2), over));
      }
      List<Thread> threads = traffic.stream().map(Thread::new).toList();
      threads.forEach(Thread::start);
      String port = "DB_PORT=" + server.database().port() + ";";
      assertThat(command(server.database().beside(""), port, "backup")).contains("Kept in");
      assertThat(command(server.database().beside(""), port, "backup"))
          .as("over none that is there")
          .contains("is there already");
      over.set(true);
      for (Thread thread : threads) {
        thread.join(60_000);
      }
      assertThat(traffic).allSatisfy(each -> assertThat(each.wrong).isEmpty());
    }

    Path home = folder.resolve("home");
    assertThat(command(Files.createDirectories(home), "", "restore --yes"))
        .contains("Restored as it was at");
    assertThat(home.resolve("secrets.key")).hasBinaryContent(key);
    try (ServerProcess server = new ServerProcess(new TestDatabase(home))) {
      server.start();
      Client lotte = Client.signedIn(server.address(), "lotte");
      assertThat(lotte.get("/api/history").body()).isEqualTo(history);
      assertThat(lotte.get("/api/contacts?whose=OWN").body()).isEqualTo(contacts);
      assertThat(lotte.bytes("/api/greetings/" + mailbox + GREETING).body()).isEqualTo(greeting);
      // Calls that were up then go on, as after a server that was killed; the next begins after
      // them.
      Client ines = Client.signedIn(server.address(), "ines");
      ines.hangUp();
      assertThat(ines.service(ines.call("0121 496 0103"), "clear").status()).isEqualTo(204);
    }
  }

  private static short[] tone() {
    short[] samples = new short[Pcm.RATE];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = (short) (6_000 * Math.sin(2 * Math.PI * 440 * i / Pcm.RATE));
    }
    return samples;
  }

  @Test
  void what_is_damaged_or_not_to_be_read_is_said_and_nothing_is_changed() throws Exception {
    Path home = Files.createDirectories(folder.resolve("home"));
    Files.createDirectories(home.resolve("data"));
    try (TestDatabase database = new TestDatabase()) {
      String port = "DB_PORT=" + database.port() + ";";
      Files.createDirectories(database.beside("recordings"));
      assertThat(command(database.beside(""), port, "backup")).contains("Kept in");
    }
    assertThat(command(home, "", "restore"))
        .as("nobody says yes")
        .contains("nothing has been changed");
    assertThat(command(home, "schema() { echo 1; };", "restore --yes"))
        .contains("by a later version");
    byte[] whole = Files.readAllBytes(backup);
    assertThat(new String(whole)).as("encrypted").doesNotContain("database.sql");
    Files.writeString(folder.resolve("passphrase"), "something else");
    assertThat(command(home, "", "restore --yes")).contains("cannot be read");
    Files.writeString(folder.resolve("passphrase"), "nobody else knows");
    Files.write(backup, Arrays.copyOf(whole, whole.length / 2));
    assertThat(command(home, "", "restore --yes")).contains("cannot be read");
    try (var left = Files.list(home)) {
      assertThat(left.map(each -> each.getFileName().toString()))
          .containsExactlyInAnyOrder("data", "run");
    }
  }
}
