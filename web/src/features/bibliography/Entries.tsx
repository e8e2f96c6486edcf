import type { Schema } from '../../api';
import { ListPane, TwoPanes, useAddress, useKeys, usePlace } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useEntryActs } from './actsApi';
import type { Said } from './api';
import { EntryPane } from './EntryPane';
import { EntryRow } from './EntryRow';

/** The entries of a bibliography, and the chosen one beside them. */
export function Entries({
  folder,
  entries,
  count,
  layout,
  chapters,
  said,
  edits,
  fresh,
  onEnd,
}: {
  folder: string;
  /** Those that are here, from the first on. */
  entries: readonly Schema['EntryOfFolder'][];
  count: number;
  layout: Schema['EntryLayout'];
  /** The headings, in their order. */
  chapters: readonly string[];
  /** Which annotations are shown. */
  said: Said;
  /** Whether the reader may change the folder. */
  edits: boolean;
  /** Whether these are in the style that was asked for. */
  fresh: boolean;
  /** The list came to the end of what is here. */
  onEnd: () => void;
}) {
  const here = useHere();
  const acts = useEntryActs(here.id, folder);
  const { params, change } = useAddress();
  const wanted = params.get('p');
  const chosen = Math.max(
    0,
    entries.findIndex((one) => one.publication === wanted),
  );
  // What is pressed next, and typed then, is meant for this one.
  const show = (which: string | undefined) =>
    change('p', which ?? '', { replace: true, atOnce: true });
  const place = usePlace(
    chosen,
    entries.length,
    (index) => show(entries[index]?.publication),
    wanted,
  );
  const tick = (at: number) => {
    const entry = entries[at];
    if (!entry || !mayWrite(here)) return;
    acts.tick.mutate({ publications: [entry.publication], checked: !entry.compared });
  };
  const mend = () => {
    const entry = entries[place.now()];
    const fault = entry?.faults.find((one) => one.mend);
    if (!entry || !fault?.field || !mayWrite(here)) return;
    acts.mend.mutate({
      publication: entry.publication,
      field: fault.field,
      was: fault.reads,
      value: fault.mend,
    });
  };
  useKeys({
    j: () => place.step(1),
    k: () => place.step(-1),
    x: () => tick(place.now()),
    m: mend,
  });
  const entry = entries[chosen];
  return (
    <TwoPanes
      label="Entry"
      open={wanted !== null && entry !== undefined}
      onBack={() => show(undefined)}
      list={
        <ListPane
          label="Entries"
          count={count}
          chosen={chosen}
          onStep={place.step}
          onSight={(last) => {
            if (last >= entries.length - 1) onEnd();
          }}
          ready={fresh}
          focusOn={0}
        >
          {(index) => (
            <EntryRow
              entry={entries[index]}
              layout={layout}
              chosen={index === chosen}
              ticks={mayWrite(here)}
              heading={
                entries[index]?.chapter === entries[index - 1]?.chapter
                  ? ''
                  : (entries[index]?.chapter ?? '')
              }
              said={said}
              onChoose={() => place.go(index)}
              onTick={() => tick(index)}
            />
          )}
        </ListPane>
      }
      leaf={
        entry && (
          <EntryPane
            folder={folder}
            entry={entry}
            layout={layout}
            chapters={chapters}
            edits={edits}
            acts={acts}
            onTick={() => tick(chosen)}
          />
        )
      }
    />
  );
}
