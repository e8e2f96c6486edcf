import type { Schema } from '../../api';
import { copiesLink, useNotice } from '../../ui';

/** What is copied: with its looks, and without. */
export type Copied = { html: string; text: string };

/**
 * Copies words with their looks and without at once: a word processor takes the first, a letter the
 * second. Where a browser has no clipboard for us they are shown instead.
 *
 * @param fetched what is fetched first; a clipboard waits for it within the act
 */
export function useCopyCited(): (what: string, fetched: Copied | (() => Promise<Copied>)) => void {
  const tell = useNotice();
  return (what, fetched) => {
    const all = Promise.resolve(typeof fetched === 'function' ? fetched() : fetched);
    const shown = () =>
      all.then(
        ({ text }) => tell({ text }),
        (failed: Error) => tell({ text: failed.message, bad: true }),
      );
    if (!navigator.clipboard || typeof ClipboardItem === 'undefined') {
      void shown();
      return;
    }
    const blob = (kind: 'html' | 'text', type: string) =>
      all.then((copied) => new Blob([copied[kind]], { type }));
    const item = new ClipboardItem({
      'text/html': blob('html', 'text/html'),
      'text/plain': blob('text', 'text/plain'),
    });
    navigator.clipboard
      .write([item])
      .then(() => tell({ text: `Copied ${what}.` }))
      .catch(() => void shown());
  };
}

/** A work’s citation as it is copied: with the stable link on a last line, where that is wanted. */
export function copiedOf({ cited, stableLink }: Schema['Leaf']): Copied {
  const { html, text } = cited;
  if (!copiesLink()) return { html, text };
  return {
    html: `${html}<p><a href="${stableLink}">${stableLink}</a></p>`,
    text: `${text}\n${stableLink}`,
  };
}
