import type { ReactNode } from 'react';
import { HelpLink } from './HelpLink';
import type { PAGES } from './pages';

/** The title of a place, with the way to its help beside it. */
export function Title({
  help,
  className = '',
  children,
}: {
  help: keyof typeof PAGES;
  className?: string;
  children: ReactNode;
}) {
  return (
    <div className={`flex items-baseline gap-x-4 ${className}`}>
      <h1 className="font-serif text-[21px] font-semibold">{children}</h1>
      <HelpLink place={help} />
    </div>
  );
}
