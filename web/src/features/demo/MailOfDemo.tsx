import { useQuery, useQueryClient } from '@tanstack/react-query';
import { demoPast } from './demoPast';

/** Where the letters of the demo lie, which reach nobody. */
export function MailOfDemo() {
  const demo = useQuery(demoPast(useQueryClient())).data;
  if (!demo) return null;
  return (
    <p className="mt-2 text-[13px] text-soft">
      Letters of the demo reach nobody; they lie in{' '}
      <a className="act" href={demo.mail} target="_blank" rel="noreferrer">
        the mail drop
      </a>
      .
    </p>
  );
}
