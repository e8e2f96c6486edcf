import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** Something that waits: how much, what, why, and what to do about it. */
export function Waits({
  n = 1,
  lit = false,
  title,
  to,
  act,
  more,
  children,
}: {
  n?: number;
  lit?: boolean;
  title: string;
  to: string;
  act: string;
  /** Another act on it. */
  more?: ReactNode;
  children: ReactNode;
}) {
  return (
    <li className="grid grid-cols-[2.75rem_minmax(0,1fr)_auto] items-baseline border-b border-base-300 py-2">
      <b className={`font-serif text-[19px] font-semibold ${lit ? 'text-lit-ink' : ''}`}>{n}</b>
      <div>
        <Link className="font-serif text-[15.5px]" to={to}>
          {title}
        </Link>
        <p className="text-[13px] text-soft">{children}</p>
      </div>
      <span className="flex flex-col items-end gap-1">
        <Link className="act" to={to} aria-label={`${act}: ${title}`}>
          {act}
        </Link>
        {more}
      </span>
    </li>
  );
}
