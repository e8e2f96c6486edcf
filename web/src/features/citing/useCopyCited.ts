import { useNotice } from '../../ui';

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

/** With an address on a last line. */
export function withLink({ html, text }: Copied, address: string): Copied {
  return { html: `${html}<p><a href="${address}">${address}</a></p>`, text: `${text}\n${address}` };
}
