package oficina.server.lines;

import java.util.List;
import oficina.server.office.OfficeData;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The lines that people share: the groups of the office. */
@RestController
class LineController {
  private final OfficeData office;

  LineController(OfficeData office) {
    this.office = office;
  }

  /** A line that several people answer. */
  record LineView(long id, String name, String extension) {}

  /** All shared lines of the office. */
  @GetMapping("/api/lines")
  List<LineView> lines() {
    return office.directory().groups().stream()
        .map(group -> new LineView(group.id().value(), group.name(), group.extension()))
        .toList();
  }
}
