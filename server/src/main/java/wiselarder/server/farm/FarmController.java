package wiselarder.server.farm;

import java.time.LocalDate;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Plan;
import wiselarder.core.quantity.Check;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.PlanRepository;
import wiselarder.server.plan.Told;

/** Farms and the people of a farm. */
@RestController
@RequestMapping("/api/farms")
class FarmController {
  /** Dry matter of a standard animal unit day, kg. */
  private static final double STANDARD_AUD_KG = 11.8;

  private static final int MOST_LISTED = 200;
  private static final int LONGEST_NAME = 80;

  private final Farms farms;
  private final Invitations invitations;

  FarmController(Farms farms, Invitations invitations) {
    this.farms = farms;
    this.invitations = invitations;
  }

  /** An empty farm: where it lies and how it is shown. */
  record NewFarm(
      String name, String climateId, Farm.UnitSystem units, String currency, LocalDate start) {}

  /** Whom to invite as what. */
  record NewInvitation(String name, Role role) {}

  /** The token of an invitation; it is shown once. */
  record Invited(String token) {}

  /** A role to hold from now on. */
  record NewRole(Role role) {}

  /** Farms of the person, the first of them by name, with their plans. */
  @GetMapping
  Farms.Found list(
      @RequestParam(defaultValue = "") String find,
      @RequestParam(defaultValue = "50") int most,
      @AuthenticationPrincipal Person person) {
    Check.range("farms.most", most, 1, MOST_LISTED);
    return farms.find(person, Check.note("farms.find", find, LONGEST_NAME).strip(), most);
  }

  @GetMapping("/{farm}/plans")
  List<PlanRepository.Row> plans(
      @PathVariable String farm, @AuthenticationPrincipal Person person) {
    return farms.plansOf(farm, person);
  }

  /** Makes an empty farm with an empty plan of twelve months. */
  @PostMapping
  Farms.Made make(@RequestBody NewFarm given, @AuthenticationPrincipal Person person) {
    Farm farm =
        new Farm(
            given.name,
            "",
            given.climateId,
            given.units,
            given.currency,
            STANDARD_AUD_KG,
            List.of(),
            List.of(),
            List.of());
    PlanYear year = new PlanYear(given.start, 12);
    Plan plan =
        Plan.bare(
            "%d/%02d".formatted(year.start().getYear(), (year.start().getYear() + 1) % 100), year);
    return farms.make(person, new FarmPlan(farm, plan), Told.How.BEGAN_EMPTY);
  }

  @DeleteMapping("/{farm}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String farm, @AuthenticationPrincipal Person person) {
    farms.remove(farm, person);
  }

  @GetMapping("/{farm}/people")
  Invitations.Circle people(@PathVariable String farm, @AuthenticationPrincipal Person person) {
    return invitations.circle(farm, person);
  }

  @PostMapping("/{farm}/invitations")
  Invited invite(
      @PathVariable String farm,
      @RequestBody NewInvitation given,
      @AuthenticationPrincipal Person person) {
    return new Invited(invitations.invite(farm, person, given.name, given.role));
  }

  @DeleteMapping("/{farm}/invitations/{invitation}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void withdraw(
      @PathVariable String farm,
      @PathVariable long invitation,
      @AuthenticationPrincipal Person person) {
    invitations.withdraw(farm, person, invitation);
  }

  @PutMapping("/{farm}/people/{member}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void setRole(
      @PathVariable String farm,
      @PathVariable long member,
      @RequestBody NewRole given,
      @AuthenticationPrincipal Person person) {
    invitations.setRole(farm, person, member, given.role);
  }

  @DeleteMapping("/{farm}/people/{member}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeMember(
      @PathVariable String farm,
      @PathVariable long member,
      @AuthenticationPrincipal Person person) {
    invitations.remove(farm, person, member);
  }
}
