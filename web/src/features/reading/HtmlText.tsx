import { useLayoutEffect, useRef } from 'react';
import type { Viewing } from './viewing';

/** A page of the web, cleaned by the server, in our type. It is one page, however long. */
export function HtmlText({
  html,
  zoom,
  viewing,
}: {
  html: string;
  zoom: number;
  viewing: Viewing;
}) {
  const root = useRef<HTMLDivElement>(null);
  const { drawn } = viewing;
  useLayoutEffect(() => {
    // Set by hand, so that what lights its words never meets one of React's changes.
    if (root.current) root.current.innerHTML = html;
    drawn(0, root.current);
    return () => drawn(0, null);
  }, [html, drawn]);
  return (
    <div
      ref={root}
      className="reading-text mx-auto"
      style={{ fontSize: `${16.5 * zoom}px` }}
      data-page={0}
    />
  );
}
