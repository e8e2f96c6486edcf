import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** One of some lists that a page can show, at an address of its own. */
export function Choice({ on, to, children }: { on: boolean; to: string; children: ReactNode }) {
  return (
    <Link
      className={`act ${on ? 'font-semibold underline' : ''}`}
      aria-current={on ? 'true' : undefined}
      to={to}
    >
      {children}
    </Link>
  );
}
