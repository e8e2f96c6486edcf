import { api, body, type Schema } from '../../api';
import { useAct } from '../session';

/** What can be done to an alert that is set. */
export function useAlertChanges(group: string, alert: string) {
  const path = { group, alert };
  return {
    pause: useAct(
      group,
      async (_: null, header) =>
        body(
          await api.POST('/api/groups/{group}/alerts/{alert}/pause', { params: { path, header } }),
        ),
      (line) => `“${line.name}” is paused: it looks no more until it goes on.`,
    ),
    resume: useAct(
      group,
      async (gap: boolean, header) =>
        body(
          await api.POST('/api/groups/{group}/alerts/{alert}/resume', {
            params: { path, header },
            body: { gap },
          }),
        ),
      (line, gap) =>
        gap
          ? `“${line.name}” goes on; what came in the pause is found, too.`
          : `“${line.name}” goes on; what came in the pause is passed over for good.`,
      { stays: (gap) => !gap },
    ),
    end: useAct(
      group,
      async (_: null, header) =>
        body(await api.DELETE('/api/groups/{group}/alerts/{alert}', { params: { path, header } })),
      (line) => `The alert on “${line.name}” has ended. Its arrivals and all marks stay.`,
    ),
    change: useAct(
      group,
      async (chosen: Schema['AlertChosen'], header) =>
        body(
          await api.PUT('/api/groups/{group}/alerts/{alert}', {
            params: { path, header },
            body: chosen,
          }),
        ),
      (line) => `“${line.name}” is changed.`,
      { quiet: true },
    ),
  };
}
