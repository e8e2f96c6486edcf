import { useMemo, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import { useCopyText, useKeys } from '../../ui';
import { useHere } from '../session';
import { useWords } from './api';
import { Bar } from './Bar';
import type { Found } from './find';
import { HtmlText } from './HtmlText';
import { useLights } from './lights';
import { Parts, Switch } from './Parts';
import { PdfText } from './PdfText';
import { PlaceList } from './PlaceList';
import { Strip } from './Strip';
import { target, useFinding } from './useFinding';
import { usePageRead } from './usePageRead';
import { shownOn, useViewing, type Viewing } from './viewing';

const ZOOMS = [0.6, 0.75, 0.9, 1, 1.15, 1.3, 1.6, 2, 2.5, 3];
const FIT = ZOOMS.indexOf(1);

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
  const [params, setParams] = useSearchParams();
  const [typed, setTyped] = useState(params.get('find') ?? '');
  const [at, setAt] = useState(-1);
  const [zoom, setZoom] = useState(FIT);
  const [beside, setBeside] = useState<'parts' | 'places'>('parts');
  const [open, setOpen] = useState<'text' | 'beside' | 'margin'>('text');
  const findBox = useRef<HTMLInputElement>(null);
  const scroller = useRef<HTMLDivElement>(null);
  const viewing = useViewing(scroller);
  const words = useWords(here.id, text.copy.id).data;
  const { places, ranges, wanted } = useFinding(words, typed, viewing);
  const copy = useCopyText();
  usePageRead(scroller, viewing.setPage);

  const step = (to: number) => {
    const place = places[to];
    if (!place || !wanted) return;
    setAt(to);
    viewing.goTo(target(place, wanted));
  };
  const turn = (by: number) => {
    if (places.length > 0)
      step((Math.max(at, by > 0 ? -1 : 0) + by + places.length) % places.length);
  };
  const type = (words: string) => {
    setTyped(words);
    setAt(-1);
    setBeside(words.trim() ? 'places' : 'parts');
    setParams(
      (now) => {
        if (words.trim()) now.set('find', words);
        else now.delete('find');
        return now;
      },
      { replace: true },
    );
  };
  const goToPage = (page: number) => viewing.goTo({ page, range: () => null });
  const label = text.labels[viewing.page] ?? '';
  const cite = () => copy(label ? `${leaf.citation} (p. ${label})` : leaf.citation, 'the citation');
  const back = () => void navigate(-1);
  useKeys({
    f: () => findBox.current?.focus(),
    '.': () => turn(1),
    ',': () => turn(-1),
    c: cite,
    u: back,
    '+': () => setZoom((z) => Math.min(ZOOMS.length - 1, z + 1)),
    '-': () => setZoom((z) => Math.max(0, z - 1)),
    '0': () => setZoom(FIT),
  });
  useLights('found', ranges);
  useLights('found-here', useHereRange(places[at], wanted, viewing));
  const isPdf = text.copy.form === 'pdf';
  return (
    <div className="grid h-full grid-rows-[auto_minmax(0,1fr)]">
      <Bar
        leaf={leaf}
        text={text}
        texts={texts}
        page={viewing.page}
        onPage={goToPage}
        typed={typed}
        onType={type}
        findBox={findBox}
        count={wanted && words ? places.length : null}
        at={at}
        onTurn={turn}
        zoom={ZOOMS[zoom] ?? 1}
        onZoom={(by) =>
          setZoom((z) => (by === 0 ? FIT : Math.max(0, Math.min(ZOOMS.length - 1, z + by))))
        }
        onCite={cite}
        onBack={back}
        open={open}
        onOpen={setOpen}
      />
      <div className="grid min-h-0 grid-cols-[minmax(0,1fr)] lg:grid-cols-[236px_minmax(0,1fr)_minmax(0,300px)]">
        <aside
          aria-label="Parts and places"
          className={`min-h-0 border-r border-base-300 py-3 pr-2 pl-6 lg:flex ${open === 'beside' ? 'flex' : 'hidden'}`}
        >
          <div
            className="min-w-0 flex-1 overflow-y-auto pr-1"
            tabIndex={0}
            role="group"
            aria-label="List"
          >
            {typed.trim() !== '' && (
              <Switch
                label="Beside the text"
                all={[
                  ['parts', 'Parts'],
                  ['places', 'Places'],
                ]}
                now={beside}
                onSwitch={setBeside}
              />
            )}
            {beside === 'places' && typed.trim() !== '' ? (
              <PlaceList
                places={places}
                labels={text.labels}
                now={at}
                onGo={(which) => {
                  setOpen('text');
                  step(which);
                }}
              />
            ) : (
              <Parts
                parts={text.parts}
                labels={text.labels}
                page={viewing.page}
                onGo={(part) => {
                  setOpen('text');
                  if (part.anchor) document.getElementById(part.anchor)?.scrollIntoView();
                  else goToPage(part.page);
                }}
              />
            )}
          </div>
          <Strip
            found={places.map((place) => place.far)}
            noted={[]}
            onGo={(far) =>
              step(
                nearest(
                  places.map((place) => place.far),
                  far,
                ),
              )
            }
          />
        </aside>
        <div
          ref={scroller}
          role="region"
          aria-label="Text"
          tabIndex={0}
          className={`min-h-0 overflow-auto lg:block ${open === 'text' ? 'block' : 'hidden'}`}
        >
          {isPdf ? (
            <PdfText
              address={`/api/groups/${here.id}/texts/${text.copy.id}/file`}
              labels={text.labels}
              zoom={ZOOMS[zoom] ?? 1}
              viewing={viewing}
              scroller={scroller}
            />
          ) : (
            <HtmlText html={text.html} zoom={ZOOMS[zoom] ?? 1} viewing={viewing} />
          )}
        </div>
        <aside
          aria-label="Margin"
          className={`min-h-0 overflow-y-auto border-l border-base-300 bg-base-200 px-5 py-4 lg:block ${open === 'margin' ? 'block' : 'hidden'}`}
        />
      </div>
    </div>
  );
}

function nearest(all: number[], far: number): number {
  let best = -1;
  all.forEach((one, n) => {
    if (best < 0 || Math.abs(one - far) < Math.abs((all[best] ?? 0) - far)) best = n;
  });
  return best;
}

/** The range of the place that is looked at, once its page is drawn. */
function useHereRange(place: Found | undefined, wanted: RegExp | null, viewing: Viewing): Range[] {
  const root = place && viewing.pages.get(place.page);
  return useMemo(() => {
    const range = root && place && wanted ? target(place, wanted).range(shownOn(root)) : null;
    return range ? [range] : [];
  }, [place, wanted, root]);
}
