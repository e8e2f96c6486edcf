package org.quietlantern.server.alert;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class AlertController {
  private final Alerts alerts;

  record SetAlert(String search, String rhythm) {}

  AlertController(Alerts alerts) {
    this.alerts = alerts;
  }

  @GetMapping("/alerts")
  List<Alerts.AlertLine> alerts(Member me) {
    return alerts.list(me);
  }

  @GetMapping("/alerts/{alert}")
  Alerts.AlertView alert(Member me, @PathVariable String alert) {
    return alerts.view(me, alert);
  }

  @PostMapping("/alerts")
  Alerts.AlertSet setAlert(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody SetAlert body) {
    return alerts.set(me, command, body.search(), body.rhythm());
  }
}
