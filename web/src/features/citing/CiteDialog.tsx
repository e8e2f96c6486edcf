import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, counted, Dialog } from '../../ui';
import { useHere } from '../session';
import { useCitations } from './api';
import { Around } from './Around';
import { BeforeLeaving } from './BeforeLeaving';
import { CitedEntry, CitedWords } from './Cited';
import { LanguageField } from './LanguageField';
import { StyleField } from './StyleField';
import { useCopyCited } from './useCopyCited';

type Cite = Schema['CiteWanted'];

/** So many works have fields for pages and words around them. */
const WITH_FIELDS = 8;

/** Works in a style of one's choice: as entries, and as they are cited in a text. */
export function CiteDialog({
  publications,
  onClose,
}: {
  publications: readonly string[];
  onClose: () => void;
}) {
  const here = useHere();
  const [style, setStyle] = useState<Schema['StyleShown'] | null>(null);
  const [language, setLanguage] = useState('');
  const [cites, setCites] = useState<Cite[]>(publications.map((publication) => ({ publication })));
  const [around, setAround] = useState(false);
  const found = useCitations(here.id, {
    cites,
    style: style?.name ?? '',
    language,
  });
  const copy = useCopyCited();
  const cited = found.data;
  const change = (at: number, part: Partial<Cite>) =>
    setCites((now) => now.map((one, i) => (i === at ? { ...one, ...part } : one)));
  return (
    <Dialog
      title={publications.length === 1 ? 'Cite it' : `Cite ${counted(publications.length, 'work')}`}
      wide
      onClose={onClose}
    >
      <div className="mt-2 grid gap-x-4 sm:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
        <div className="mt-3">
          <StyleField chosen={style ?? cited?.style} onChoose={setStyle} />
        </div>
        <LanguageField value={language} onChange={setLanguage} />
      </div>
      {found.error && (
        <p role="alert" className="mt-2 text-error">
          {found.error.message}
        </p>
      )}
      {cited && (
        <div
          aria-busy={found.isPlaceholderData}
          className={`transition-opacity delay-150 ${found.isPlaceholderData ? 'opacity-60' : ''}`}
        >
          {cited.missing.length > 0 && (
            <p className="mt-2 text-soft">Not done here: {cited.missing.join(', ')}.</p>
          )}
          <section aria-label="As entries">
            <h3 className="small-head mt-3">
              As {cited.entries.length > 1 ? 'entries' : 'an entry'}
            </h3>
            {cited.entries.length === 0 && (
              <p className="text-soft">The style has notes alone, and no bibliography.</p>
            )}
            <div className="max-h-[14rem] space-y-1.5 overflow-y-auto" tabIndex={0}>
              {cited.entries.map((entry) => (
                <CitedEntry key={entry.publication} parts={entry.parts} layout={cited.layout} />
              ))}
            </div>
            <BeforeLeaving entries={cited.entries} />
          </section>
          <section aria-label="In a text">
            <h3 className="small-head mt-3">In a text</h3>
            <Line parts={cited.inText} what="the citation" />
            {plain(cited.narrative) !== plain(cited.inText) && (
              <Line parts={cited.narrative} what="the sentence’s citation" />
            )}
            {cites.length <= WITH_FIELDS && (
              <Act aria-expanded={around} onClick={() => setAround((now) => !now)}>
                Pages, and words around it
              </Act>
            )}
            {around &&
              cites.map((cite, at) => (
                <Around
                  key={cite.publication}
                  cite={cite}
                  title={titleOf(cited, cite.publication)}
                  onChange={(part) => change(at, part)}
                />
              ))}
          </section>
        </div>
      )}
      <div className="mt-4 flex flex-wrap gap-4">
        <Act
          main
          disabled={!cited || cited.entries.length === 0}
          onClick={() =>
            cited && copy(cited.entries.length > 1 ? 'the entries' : 'the entry', cited)
          }
        >
          Copy {publications.length > 1 ? 'the entries' : 'the entry'}
        </Act>
        <Act onClick={onClose}>Close</Act>
      </div>
    </Dialog>
  );
}

function titleOf(cited: Schema['CitationsShown'], publication: string): string {
  const entry = cited.entries.find((one) => one.publication === publication);
  return entry ? plain(entry.parts) : '';
}

function plain(parts: readonly Schema['CitedPart'][]): string {
  return parts.flatMap((part) => part.runs.map((run) => run.text)).join('');
}

function Line({ parts, what }: { parts: readonly Schema['CitedPart'][]; what: string }) {
  const copy = useCopyCited();
  return (
    <p className="flex flex-wrap items-baseline gap-x-3">
      <span className="font-serif text-[15px]">
        <CitedWords parts={parts} />
      </span>
      <Act aria-label={`Copy ${what}`} onClick={() => copy(what, asCopied(parts))}>
        Copy
      </Act>
    </p>
  );
}

function asCopied(parts: readonly Schema['CitedPart'][]) {
  const html = document.createElement('div');
  for (const run of parts.flatMap((part) => part.runs)) {
    const words = document.createElement(run.looks.includes('italic') ? 'i' : 'span');
    if (run.looks.includes('superscript')) words.style.verticalAlign = 'super';
    words.textContent = run.text;
    html.append(words);
  }
  return { html: html.innerHTML, text: plain(parts) };
}
