import type { RefObject } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted } from '../../ui';
import { HelpLink } from '../help';
import { mayWrite, useHere } from '../session';
import { Downloads } from './Downloads';
import { About, Forms } from './Forms';
import { PageBox } from './PageBox';
import type { Open } from './Reader';
import type { Finding } from './useFinding';
import type { useZoom } from './useZoom';

/** What is read, where one is in it, and what can be done. */
export function Bar({
  leaf,
  text,
  texts,
  page,
  onPage,
  finding,
  findBox,
  zoom,
  onCite,
  onNote,
  onBack,
  open,
  onOpen,
}: {
  leaf: Schema['Leaf'];
  text: Schema['TextShown'];
  texts: Schema['TextsHere'];
  page: number;
  onPage: (page: number) => void;
  finding: Finding;
  findBox: RefObject<HTMLInputElement | null>;
  zoom: ReturnType<typeof useZoom>;
  onCite: () => void;
  onNote: () => void;
  onBack: () => void;
  open: Open;
  onOpen: (what: Open) => void;
}) {
  const here = useHere();
  const { publication } = leaf;
  const found = finding.places.length;
  return (
    <header className="border-b border-base-300 bg-base-200 px-4 py-1.5 lg:px-6">
      <div className="flex flex-wrap items-center gap-x-3.5 gap-y-0.5">
        <h1 className="max-w-full min-w-0 truncate font-serif text-[15.5px] font-semibold lg:max-w-[270px]">
          <Link
            className="block min-h-[24px] truncate"
            to={`/g/${here.id}/p/${publication.id}`}
            title={publication.title}
          >
            {publication.title}
          </Link>
        </h1>
        {text.labels.length > 1 && <PageBox labels={text.labels} page={page} onPage={onPage} />}
        <Forms text={text} texts={texts} />
        <FindBox finding={finding} box={findBox} />
        <span className="flex flex-wrap gap-x-2.5 lg:ml-auto">
          {found > 0 && (
            <>
              <Act hint="." onClick={() => finding.turn(1)}>
                Next
              </Act>
              <Act hint="," onClick={() => finding.turn(-1)}>
                Former
              </Act>
            </>
          )}
          <Act title="Smaller (−)" onClick={zoom.smaller}>
            A−<span className="sr-only"> smaller</span>
          </Act>
          <Act title="The size that fits (0)" onClick={zoom.fit}>
            {Math.round(zoom.now * 100)} %<span className="sr-only">, to the size that fits</span>
          </Act>
          <Act title="Larger (+)" onClick={zoom.larger}>
            A+<span className="sr-only"> larger</span>
          </Act>
          {mayWrite(here) && (
            // What is chosen stays so while this is pressed.
            <Act hint="n" onMouseDown={(event) => event.preventDefault()} onClick={onNote}>
              Note
            </Act>
          )}
          <Act hint="c" onClick={onCite}>
            Citation
          </Act>
          <Downloads text={text} />
          <Act hint="u" onClick={onBack}>
            Back
          </Act>
        </span>
        <span className="flex gap-x-3 lg:hidden">
          {(['text', 'beside', 'margin'] as const).map((what) => (
            <Act key={what} aria-pressed={open === what} onClick={() => onOpen(what)}>
              {what === 'beside' ? 'parts' : what}
            </Act>
          ))}
        </span>
      </div>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <About copy={text.copy} />
        <span className="lg:ml-auto">
          <HelpLink place="reading" />
        </span>
      </div>
    </header>
  );
}

function FindBox({ finding, box }: { finding: Finding; box: RefObject<HTMLInputElement | null> }) {
  const { typed, places, at, wanted, isReady } = finding;
  return (
    <span className="flex items-baseline gap-1.5">
      <input
        ref={box}
        aria-label="Find in the text"
        placeholder="Find in the text"
        className="field min-h-[26px] w-36 py-0.5"
        value={typed}
        onChange={(event) => finding.type(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') finding.turn(event.shiftKey ? -1 : 1);
          if (event.key === 'Escape') event.currentTarget.blur();
        }}
      />
      <span role="status" className="text-soft">
        {wanted && isReady && counted(places.length, 'place')}
        {wanted && at >= 0 && `, no. ${at + 1}`}
      </span>
    </span>
  );
}
