package oficina.server.administration;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import oficina.core.people.Person;
import oficina.core.register.PersonEntry;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * The teams and sites of the office. There are those in which somebody is: a new one begins with
 * whoever is put there, and two become one when they are called alike.
 */
@RestController
@RequestMapping("/api/office/places")
class PlacesController {
  private final OfficeData office;
  private final OfficeStore register;
  private final PlaceStore store;

  PlacesController(OfficeData office, OfficeStore register, PlaceStore store) {
    this.office = office;
    this.register = register;
    this.store = store;
  }

  /** How many people are there. */
  record Place(String name, long people) {}

  /** By name. */
  record Places(List<Place> teams, List<Place> sites) {}

  /** The teams and sites there are. */
  @GetMapping
  Places all() {
    return new Places(places(Person::team), places(Person::site));
  }

  private List<Place> places(Function<Person, String> of) {
    Map<String, Long> people =
        office.directory().people().stream()
            .filter(each -> !of.apply(each).isEmpty())
            .collect(Collectors.groupingBy(of, TreeMap::new, Collectors.counting()));
    return people.entrySet().stream()
        .map(each -> new Place(each.getKey(), each.getValue()))
        .toList();
  }

  /**
   * Another name.
   *
   * @param becomes that of another one to be one with it
   */
  record Renamed(
      @NotBlank @Size(max = PersonEntry.LONGEST_PLACE) String name,
      @NotNull @Size(max = PersonEntry.LONGEST_PLACE) String becomes) {}

  /** Give a team another name; everybody of it goes with it. */
  @PutMapping("/teams")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void team(@Valid @RequestBody Renamed body) {
    String becomes = body.becomes().strip();
    if (becomes.isEmpty()) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "TEAM_NAMELESS");
    }
    office.change(
        () -> {
          refuseUnknown(Person::team, body.name());
          store.team(register.teamNamed(body.name()), becomes);
        });
  }

  /** Give a site another name, or none; everybody who is there goes with it. */
  @PutMapping("/sites")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void site(@Valid @RequestBody Renamed body) {
    office.change(
        () -> {
          refuseUnknown(Person::site, body.name());
          store.site(body.name(), body.becomes().strip());
        });
  }

  private void refuseUnknown(Function<Person, String> of, String name) {
    if (office.directory().people().stream().noneMatch(each -> of.apply(each).equals(name))) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PLACE");
    }
  }
}
