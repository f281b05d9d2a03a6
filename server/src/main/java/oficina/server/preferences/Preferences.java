package oficina.server.preferences;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.call.CallerId;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import org.springframework.stereotype.Component;

/** Everybody's preferences, kept in memory: a call must not wait for the database. */
@Component
public class Preferences {
  private final PreferenceStore store;
  private final OfficeData office;
  private final Map<PersonId, Preference> known;

  Preferences(PreferenceStore store, OfficeData office) {
    this.store = store;
    this.office = office;
    known = new ConcurrentHashMap<>(store.all());
  }

  public Preference of(PersonId person) {
    return known.get(person);
  }

  /** Stored first: what the database does not take has not been chosen. */
  void choose(PersonId person, Preference preference) {
    store.write(person, preference);
    known.put(person, preference);
    office.callWaiting(person, preference.callWaiting());
  }

  /**
   * What an outsider is shown when this person calls.
   *
   * @param wanted for this call; null for what they have chosen for all
   */
  public CallerId callerId(PersonId person, CallerIdChoice wanted) {
    return switch (wanted == null ? of(person).callerId() : wanted) {
      case DIRECT -> new CallerId(office.callerIdOf(person));
      case OFFICE -> new CallerId(office.mainNumber());
      case WITHHELD -> CallerId.WITHHELD;
    };
  }
}
