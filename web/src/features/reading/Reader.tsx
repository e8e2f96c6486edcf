import { useEffect, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import { useCopyText, useKeys, useNotice } from '../../ui';
import { ReadIt } from '../publication';
import { mayWrite, useHere } from '../session';
import { useWords } from './api';
import { Bar } from './Bar';
import { Beside } from './Beside';
import { HtmlText } from './HtmlText';
import { useLights } from './lights';
import { Margin, useDraft } from './Margin';
import { PdfText } from './PdfText';
import { chosenIn } from './shown';
import { useHereRange, usePlaces } from './useFinding';
import { farOf, placeOf, useNotes } from './useNotes';
import { useGoToPart } from './useGoToPart';
import { usePageRead } from './usePageRead';
import { useZoom } from './useZoom';
import { useViewing } from './viewing';

/** What is seen where there is no room for all of it. */
export type Open = 'text' | 'beside' | 'margin';

/** A text with its parts, its places and what is written at its margin. */
export function Reader({
  leaf,
  text,
  texts,
}: {
  leaf: Schema['Leaf'];
  text: Schema['TextShown'];
  texts: Schema['TextsHere'];
}) {
  const here = useHere();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const [open, setOpen] = useState<Open>('text');
  const [noteNow, setNoteNow] = useState(params.get('note') ?? '');
  const findBox = useRef<HTMLInputElement>(null);
  const scroller = useRef<HTMLDivElement>(null);
  const viewing = useViewing(scroller);
  const words = useWords(here.id, text.copy.id).data;
  const finding = usePlaces(words, viewing);
  const { notes, ranges } = useNotes(here.id, text, viewing);
  const drafting = useDraft(text.copy.id);
  const zoom = useZoom();
  const copy = useCopyText();
  const tell = useNotice();
  usePageRead(scroller, viewing.setPage);

  const goToNote = (note: Schema['NoteShown']) => {
    const place = placeOf(note);
    setNoteNow(note.id);
    setOpen('text');
    if (place) viewing.goTo(place);
  };
  useLedTo(notes, params.get('note') ?? '', goToNote);
  const goToPart = useGoToPart(text, viewing);
  const label = text.labels[viewing.page] ?? '';
  const cite = () => copy(label ? `${leaf.citation} (p. ${label})` : leaf.citation, 'the citation');
  const note = () => {
    const chosen = chosenIn(viewing.pages);
    if (!chosen) {
      tell({ text: 'Choose a passage first: with the pointer, or with Shift and the arrows.' });
      return;
    }
    drafting.begin(chosen);
    setOpen('margin');
  };
  const back = () => void navigate(-1);
  useKeys({
    f: () => findBox.current?.focus(),
    '.': () => finding.turn(1),
    ',': () => finding.turn(-1),
    c: cite,
    u: back,
    '+': zoom.larger,
    '-': zoom.smaller,
    '0': zoom.fit,
    ...(mayWrite(here) ? { n: note } : {}),
  });
  useLights('found', finding.ranges);
  useLights('noted', ranges);
  useLights('found-here', useHereRange(finding, viewing));
  const shown = (what: Open) => (open === what ? '' : 'max-lg:hidden');
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
      <Bar
        leaf={leaf}
        text={text}
        texts={texts}
        page={viewing.page}
        onPage={(page) => viewing.goTo({ page, range: () => null })}
        finding={finding}
        findBox={findBox}
        zoom={zoom}
        onCite={cite}
        onNote={note}
        onBack={back}
        open={open}
        onOpen={setOpen}
      />
      <div className="grid min-h-0 grid-cols-[minmax(0,1fr)] lg:grid-cols-[236px_minmax(0,1fr)_minmax(0,300px)]">
        <aside
          aria-label="Parts and places"
          className={`flex min-h-0 border-r border-base-300 py-3 pr-2 pl-6 max-lg:pb-14 ${shown('beside')}`}
        >
          <Beside
            leaf={leaf}
            text={text}
            page={viewing.page}
            finding={finding}
            noted={notes.map((one) => farOf(one, words ?? [], text.labels))}
            onPart={(part) => {
              setOpen('text');
              goToPart(part);
            }}
            onPlace={(which) => {
              setOpen('text');
              finding.step(which);
            }}
          />
        </aside>
        <div
          ref={scroller}
          role="region"
          aria-label="Text"
          tabIndex={0}
          className={`min-h-0 overflow-auto max-lg:pb-12 ${shown('text')}`}
        >
          {text.copy.form === 'pdf' ? (
            <PdfText
              address={`/api/groups/${here.id}/texts/${text.copy.id}/file`}
              labels={text.labels}
              zoom={zoom.now}
              viewing={viewing}
              scroller={scroller}
            />
          ) : (
            <HtmlText html={text.html} zoom={zoom.now} viewing={viewing} />
          )}
          <footer
            className="mx-auto max-w-[38rem] border-t border-base-300 px-6 pt-3 pb-[45vh]"
            aria-label="After the text"
          >
            <ReadIt leaf={leaf} offered={['text']} />
          </footer>
        </div>
        <aside
          aria-label="Margin"
          className={`min-h-0 overflow-y-auto border-l border-base-300 bg-base-200 px-5 py-4 pb-20 ${shown('margin')}`}
        >
          <Margin
            leaf={leaf}
            text={text}
            notes={notes}
            drafting={drafting}
            now={noteNow}
            onGo={goToNote}
          />
        </aside>
      </div>
    </div>
  );
}

/** Whoever was led here by a note comes to its place, once. */
function useLedTo(
  notes: Schema['NoteShown'][],
  wanted: string,
  go: (note: Schema['NoteShown']) => void,
): void {
  const led = useRef('');
  useEffect(() => {
    const note = notes.find((one) => one.id === wanted);
    if (!note || led.current === wanted) return;
    led.current = wanted;
    go(note);
  });
}
