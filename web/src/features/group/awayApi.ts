import { useQueryClient } from '@tanstack/react-query';
import { api, body, keys } from '../../api';
import { useAct } from '../session';

/** Notes days on which somebody is away, and takes them back. */
export function useAwayActs(group: string) {
  const client = useQueryClient();
  /** The frame says who is away, too. */
  const anew = () => void client.invalidateQueries({ queryKey: keys.group(group), exact: true });
  return {
    add: useAct(
      group,
      async ({ member, ...days }: { member: string; from: string; to: string | null }, header) => {
        const noted = body(
          await api.POST('/api/groups/{group}/members/{member}/absences', {
            params: { path: { group, member }, header },
            body: days,
          }),
        );
        anew();
        return noted;
      },
      () => 'It is noted. What comes on those days rests.',
      { quiet: true },
    ),
    remove: useAct(
      group,
      async (absence: string, header) => {
        const noted = body(
          await api.DELETE('/api/groups/{group}/absences/{absence}', {
            params: { path: { group, absence }, header },
          }),
        );
        anew();
        return noted;
      },
      () => 'What came on those days is theirs again.',
    ),
  };
}
