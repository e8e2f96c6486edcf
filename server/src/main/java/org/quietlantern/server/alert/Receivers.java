package org.quietlantern.server.alert;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who gets an alert by mail: everybody but guests, or whom its setter named; each member says
 * otherwise for themselves. Its rounds are the whole group's all the same.
 */
@Service
public class Receivers {
  private final ReceiverMapper mapper;
  private final Alerts alerts;

  /**
   * Who gets an alert by mail.
   *
   * @param forAll whether somebody who joins gets it
   * @param mine whether the member who asks does
   * @param names of all who do
   */
  public record AlertMail(boolean forAll, boolean mine, List<String> names) {}

  Receivers(ReceiverMapper mapper, Alerts alerts) {
    this.mapper = mapper;
    this.alerts = alerts;
  }

  @Transactional(readOnly = true)
  public AlertMail of(Member who, String alert) {
    return shown(who, alerts.id(who, alert));
  }

  /** What the member gets from now on. */
  @Transactional
  public AlertMail set(Member who, String alert, boolean receive) {
    int id = alerts.id(who, alert);
    mapper.set(id, who.id(), receive);
    return shown(who, id);
  }

  private AlertMail shown(Member who, int alert) {
    List<ReceiverMapper.Receiver> all = mapper.receivers(alert);
    return new AlertMail(
        mapper.isForAll(alert),
        all.stream().anyMatch(one -> one.membership() == who.id() && one.receives()),
        all.stream()
            .filter(ReceiverMapper.Receiver::receives)
            .map(ReceiverMapper.Receiver::name)
            .toList());
  }

  /** Only these get it; absent: everybody. Refused where one is not of the group. */
  @Transactional(propagation = Propagation.MANDATORY)
  void choose(int alert, @Nullable List<String> members) {
    if (members == null) {
      return;
    }
    Map<String, Integer> here =
        mapper.receivers(alert).stream()
            .collect(
                Collectors.toMap(
                    ReceiverMapper.Receiver::pid, ReceiverMapper.Receiver::membership));
    if (!here.keySet().containsAll(members)) {
      throw Refusal.unusable("receivers", "One of those is no member of the group.");
    }
    mapper.forSome(alert);
    members.forEach(member -> mapper.set(alert, here.get(member), true));
  }

  /**
   * The name of an alert of which a member (public ids) gets no more mail; empty: there is none.
   */
  @Transactional
  public Optional<String> stop(String member, String alert) {
    return mapper.stop(member, alert) == 0 ? Optional.empty() : Optional.of(mapper.name(alert));
  }

  /** Likewise, changing nothing. */
  @Transactional(readOnly = true)
  public Optional<String> name(String alert) {
    return Optional.ofNullable(mapper.name(alert));
  }
}
