package oficina.server.mailboxes;

import java.io.IOException;
import oficina.server.keeping.Disk;
import oficina.server.keeping.Spool;
import oficina.server.voicemail.Label;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Where messages are kept while they are recorded. Nothing is marked in them. */
@Component
class MessageSpool extends Spool<Label, String> {
  MessageSpool(@Value("${oficina.recordings:}") String path, Disk disk) throws IOException {
    super(path, "", Label.class, String.class, disk);
  }
}
