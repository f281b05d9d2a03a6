package oficina.server.tapes;

import java.io.IOException;
import oficina.server.keeping.Disk;
import oficina.server.keeping.Spool;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Where calls are kept while they are recorded. */
@Component
class TapeSpool extends Spool<TapeLabel, Mark> {
  TapeSpool(@Value("${oficina.recordings:}") String path, Disk disk) throws IOException {
    super(path, "calls", TapeLabel.class, Mark.class, disk);
  }
}
