import type { Schema } from '../../api';
import { day } from '../../ui';
import { useAlerts } from '../alerts';
import { useSources } from '../catalogue';
import { useSent } from '../export';
import { mayWrite } from '../session';

/** What does not work as it should, and where that is told. */
export type Stopped = { title: string; to: string; why: string };

/** So many days a letter that could not be handed over is told of. */
const DAYS = 7;

/** Letters that could not be handed over, alerts that could not run and sources that do not answer; those come to themselves again. */
export function useStopped(here: Schema['GroupView']): Stopped[] {
  const group = here.id;
  const alerts = useAlerts(group).data ?? [];
  const sources = useSources(group).data ?? [];
  const sent = useSent(group, null, mayWrite(here)).data ?? [];
  const since = Date.parse(here.today) - DAYS * 86_400_000;
  return [
    ...sent
      .filter((one) => Date.parse(one.at) >= since)
      .flatMap((one) =>
        one.letters
          .filter((letter) => letter.state === 'given up')
          .map((letter) => ({
            title: `A letter to ${letter.to} could not be handed over`,
            to: 'sent',
            why: `${one.name}: ${letter.trouble ?? ''}`,
          })),
      ),
    ...alerts
      .filter((alert) => alert.failed && alert.state === 'watching')
      .map((alert) => ({
        title: alert.name,
        to: `a/${alert.id}`,
        why: `its last run failed: ${alert.failed ?? ''}`,
      })),
    ...sources
      .filter((source) => source.failed && !source.paused)
      .map((source) => ({
        title: `${source.name} does not answer`,
        to: 'catalogue/sources',
        why: source.harvested
          ? `nothing came through since ${day(source.harvested)}; what is missed is made up for`
          : 'nothing came through yet',
      })),
  ];
}
