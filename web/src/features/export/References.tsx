import { useEffect } from 'react';
import { Act, counted, useNotice } from '../../ui';
import type { Schema } from '../../api';
import { mayWrite, useHere } from '../session';
import { placeOf, usePreview, wantedOf, type Exported, type Wanted } from './api';
import { named } from './formats';
import type { Chosen } from './lastWanted';
import { Outcome } from './Outcome';
import { saveAs } from './saveAs';
import { Ticks } from './Ticks';
import { useTaking } from './useTaking';

/** What may go along, in the words of people. */
const WORDS: Record<string, string> = {
  keywords: 'headings and keywords',
  link: 'stable link',
  added: 'who added it, and when',
  reasons: 'why it was kept',
  marks: 'marks with their reasons',
};

/** A file of references: what goes along, how it begins, and how it gets here. */
export function References({
  of,
  chosen,
  onChange,
  onDrive,
  onClose,
}: {
  of: Exported;
  chosen: Chosen;
  onChange: (part: Partial<Chosen>) => void;
  /** Asks where on the drive it shall stand. */
  onDrive: (wanted: { file: Schema['DriveWanted']; name: string }) => void;
  onClose: () => void;
}) {
  const here = useHere();
  const notice = useNotice();
  const wanted: Wanted = {
    format: chosen.format,
    with: chosen.with,
    commands: chosen.commands ?? false,
  };
  const preview = usePreview(here.id, of, wanted);
  const { taking, take, cancel, forget } = useTaking(here.id, of);
  const shown = preview.data;
  const none = !shown || shown.works === 0;
  const change = (part: Partial<Chosen>) => {
    onChange(part);
    forget();
  };
  useEffect(forget, [chosen.format, forget]);
  const save = async () => {
    const taken = await take(wanted);
    if (taken && shown) {
      // Of the format that was asked for, whatever is chosen or shown by now.
      saveAs(
        named(shown.fileName, wanted.format),
        new Blob([taken.text], { type: 'text/plain;charset=utf-8' }),
      );
    }
  };
  const copy = async () => {
    const taken = await take(wanted);
    if (!taken) return;
    await navigator.clipboard.writeText(taken.text).then(
      () => notice({ text: `${counted(taken.works, 'publication')} copied.` }),
      () => notice({ text: 'The browser let nothing be copied.', bad: true }),
    );
  };
  return (
    <>
      {chosen.format.startsWith('bib') && (
        <label className="mt-1 flex min-h-[28px] items-center gap-2">
          <input
            type="checkbox"
            checked={chosen.commands ?? false}
            onChange={(event) => change({ commands: event.target.checked })}
          />
          letters beyond ASCII as commands of LaTeX
        </label>
      )}
      <Ticks
        label="With"
        offered={shown?.offered ?? []}
        words={WORDS}
        chosen={chosen.with}
        onChange={(along) => change({ with: along })}
      />
      {preview.error && (
        <p role="alert" className="mt-3 text-error">
          {preview.error.message}
        </p>
      )}
      <section aria-label="How it begins" className="mt-3">
        <h3 className="small-head">How it begins</h3>
        <pre
          tabIndex={0}
          aria-busy={!shown || preview.isPlaceholderData}
          className="h-[14rem] overflow-auto rounded-field border border-base-300 bg-base-200 p-2 text-[12px] leading-[1.45] whitespace-pre-wrap"
        >
          {shown?.first}
        </pre>
        <p className="mt-1 min-h-[1.45em] text-soft">
          {shown &&
            `${counted(shown.works, 'publication')}, ${shown.order} · ${named(shown.fileName, chosen.format)}`}
        </p>
      </section>
      {shown && <Outcome taking={taking} works={shown.works} left={shown.left} onCancel={cancel} />}
      <div className="mt-4 flex flex-wrap gap-x-4">
        <Act main disabled={none} onClick={() => void save()}>
          Save the file
        </Act>
        <Act disabled={none} onClick={() => void copy()}>
          Copy it
        </Act>
        {mayWrite(here) && (
          <Act
            disabled={none}
            onClick={() =>
              shown &&
              onDrive({
                file: { ...wantedOf(of, wanted), ...placeOf(of), what: 'references' },
                name: named(shown.fileName, chosen.format),
              })
            }
          >
            Put it on the drive…
          </Act>
        )}
        <Act onClick={onClose}>Close</Act>
      </div>
    </>
  );
}
