import { day } from '../../ui';
import { useAlerts } from '../alerts';
import { useSources } from '../catalogue';

/** What does not work as it should, and where that is told. */
export type Stopped = { title: string; to: string; why: string };

/** Alerts that could not run and sources that do not answer; those come to themselves again. */
export function useStopped(group: string): Stopped[] {
  const alerts = useAlerts(group).data ?? [];
  const sources = useSources(group).data ?? [];
  return [
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
