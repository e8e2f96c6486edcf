import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body } from '../../api';
import { Act, counted, shortDay, useNotice } from '../../ui';
import { demoPast } from './demoPast';

/** The demo's day, and the way to let days pass. */
export function DemoDays({ today }: { today: string }) {
  const client = useQueryClient();
  const tell = useNotice();
  const past = useQuery(demoPast(client));
  const pass = useMutation({
    mutationFn: async (days: number) => body(await api.POST('/api/demo/days', { body: { days } })),
    onSuccess: (passed) => {
      const trouble = passed.problems.length ? ` ${passed.problems.join('; ')}.` : '';
      tell({
        text: `It is ${shortDay(passed.now)}. ${counted(passed.changed, 'record')} came or changed.${trouble}`,
        bad: passed.problems.length > 0,
      });
      return client.invalidateQueries();
    },
    onError: (error) => tell({ text: error.message, bad: true }),
  });
  return (
    <div
      className="flex items-center gap-3 border-r border-base-300 pr-4"
      aria-busy={pass.isPending}
    >
      <span className="whitespace-nowrap text-soft" role="status">
        {pass.isPending ? 'days pass …' : shortDay(past.data?.pastUntil ? past.data.today : today)}
      </span>
      {past.data?.pastUntil ? (
        <span className="whitespace-nowrap text-soft">
          the past arrives, up to {shortDay(past.data.pastUntil)}
        </span>
      ) : (
        <>
          <Act disabled={pass.isPending} onClick={() => pass.mutate(1)}>
            a day later
          </Act>
          <Act disabled={pass.isPending} onClick={() => pass.mutate(7)}>
            a week later
          </Act>
        </>
      )}
    </div>
  );
}
