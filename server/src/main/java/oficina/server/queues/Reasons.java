package oficina.server.queues;

import java.util.List;
import oficina.server.office.OfficeStore;
import org.springframework.stereotype.Component;

/** Why one rests: the office's list, or one to begin with. Known without the database. */
@Component
class Reasons {
  private static final String SETTING = "rest-reasons";
  private static final List<String> USUAL = List.of("Break", "Lunch", "Paperwork", "Training");

  private final OfficeStore store;
  private volatile List<String> all;

  Reasons(OfficeStore store) {
    this.store = store;
    all = store.setting(SETTING).map(text -> List.of(text.split("\n"))).orElse(USUAL);
  }

  List<String> all() {
    return all;
  }

  void become(List<String> reasons) {
    store.set(SETTING, String.join("\n", reasons));
    all = List.copyOf(reasons);
  }
}
