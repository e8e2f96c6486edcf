import { Link } from 'react-router';
import { Act } from './Act';

/** The way to the rest of a list that is read page by page, and back to those before. */
export function PageLinks({
  from,
  next,
  to,
}: {
  from: number;
  /** From where the next page begins; absent on the last. */
  next: number | null | undefined;
  /** The address of a page. */
  to: (from: string) => string;
}) {
  return (
    <p className="mt-3 flex gap-x-4">
      {from > 0 && <Act onClick={() => history.back()}>Those before</Act>}
      {next != null && (
        <Link className="act" to={to(String(next))}>
          The rest
        </Link>
      )}
    </p>
  );
}
