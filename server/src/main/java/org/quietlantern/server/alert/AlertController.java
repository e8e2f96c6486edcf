package org.quietlantern.server.alert;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class AlertController {
  private final Alerts alerts;
  private final AlertSetting setting;
  private final Foreseeing foreseeing;
  private final AlertChanges changes;
  private final RunningNow running;
  private final AlertYields yields;
  private final AlertAgreement agreement;
  private final Receivers receivers;

  /** {@code tells}: as of an alert; absent: what is new. */
  record ToForesee(StrategyBody strategy, @Nullable String tells) {}

  /** {@code gap}: what came in the pause is found, too. */
  record Resume(boolean gap) {}

  /** {@code receive}: whether the member gets the alert by mail. */
  record MyMail(boolean receive) {}

  AlertController(
      Alerts alerts,
      AlertSetting setting,
      Foreseeing foreseeing,
      AlertChanges changes,
      RunningNow running,
      AlertYields yields,
      AlertAgreement agreement,
      Receivers receivers) {
    this.alerts = alerts;
    this.setting = setting;
    this.foreseeing = foreseeing;
    this.changes = changes;
    this.running = running;
    this.yields = yields;
    this.agreement = agreement;
    this.receivers = receivers;
  }

  /** Alerts of the group; those that ended come last. */
  @GetMapping("/alerts")
  List<Alerts.AlertLine> alerts(Member me) {
    return alerts.list(me);
  }

  /** One alert with its last rounds and runs. */
  @GetMapping("/alerts/{alert}")
  Alerts.AlertView alert(Member me, @PathVariable String alert) {
    return alerts.view(me, alert);
  }

  /** What an alert did not remember of what its search found, the latest first. */
  @GetMapping("/alerts/{alert}/differences")
  Alerts.DifferencesPage differences(
      Member me,
      @PathVariable String alert,
      @RequestParam(required = false) @Nullable Integer before) {
    return alerts.differences(me, alert, before);
  }

  /** What came of what an alert brought, word by word. */
  @GetMapping("/alerts/{alert}/yield")
  AlertYields.YieldShown yieldOf(Member me, @PathVariable String alert) {
    return yields.of(me, alert);
  }

  /** How far those agree who decided apart on what an alert brought. */
  @GetMapping("/alerts/{alert}/agreement")
  AlertAgreement.AgreementShown agreement(Member me, @PathVariable String alert) {
    return agreement.of(me, alert);
  }

  /** Who gets an alert by mail. */
  @GetMapping("/alerts/{alert}/mail")
  Receivers.AlertMail mail(Member me, @PathVariable String alert) {
    return receivers.of(me, alert);
  }

  /** Whether the member who asks gets it. */
  @GuestsMay
  @PutMapping("/alerts/{alert}/mail")
  Receivers.AlertMail setMail(Member me, @PathVariable String alert, @RequestBody MyMail body) {
    return receivers.set(me, alert, body.receive());
  }

  /** Watches a saved search from now on. */
  @PostMapping("/alerts")
  AlertSetting.AlertSet setAlert(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody AlertSetting.AlertWanted body) {
    return setting.set(me, command, body);
  }

  /** What an alert on a strategy would bring, before it is set. */
  @PostMapping("/alerts/foreseen")
  Foreseeing.AlertForeseen foreseen(Member me, @RequestBody ToForesee body) {
    return foreseeing.of(me, StrategyBody.of(body.strategy()), Alerts.tells(body.tells()));
  }

  /** What a member chooses of an alert. */
  @PutMapping("/alerts/{alert}")
  Alerts.AlertLine changeAlert(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String alert,
      @RequestBody AlertChanges.AlertChosen body) {
    return changes.change(me, command, alert, body);
  }

  /** What an alert would find if it ran now, or went on; nothing is changed. */
  @PostMapping("/alerts/{alert}/trial")
  RunningNow.TrialShown trial(Member me, @PathVariable String alert) {
    return running.trial(me, alert);
  }

  /** Runs an alert out of its turn, for coordinators. */
  @PostMapping("/alerts/{alert}/run")
  RunningNow.RunMade runAlert(Member me, @PathVariable String alert) {
    return running.run(me, alert);
  }

  /** Pauses an alert: it looks no more until it goes on. */
  @PostMapping("/alerts/{alert}/pause")
  Alerts.AlertLine pauseAlert(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String alert) {
    return changes.pause(me, command, alert);
  }

  /** Lets an alert go on that is paused. */
  @PostMapping("/alerts/{alert}/resume")
  Alerts.AlertLine resumeAlert(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String alert,
      @RequestBody Resume body) {
    return changes.resume(me, command, alert, body.gap());
  }

  /** Ends an alert: its feeds are gone, its arrivals and marks stay. */
  @DeleteMapping("/alerts/{alert}")
  Alerts.AlertLine endAlert(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String alert) {
    return changes.end(me, command, alert);
  }

  /** Ends a saved search, and the alert that watches it; both can be brought back by an undo. */
  @DeleteMapping("/searches/{search}")
  AlertChanges.SearchEnded endSearch(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String search) {
    return changes.endSearch(me, command, search);
  }
}
