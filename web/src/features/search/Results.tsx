import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import { Act, Lamp, ListPane, PublicationRow, TwoPanes, useKeys } from '../../ui';
import { KeepDialog } from '../folders';
import { Leaf, useCopyLink, useLeaf, useMark } from '../publication';
import { mayWrite, useHere } from '../session';
import { useRows } from './api';

const MARKS = [
  ['2', 'pass', 'Pass'],
  ['3', 'raise', 'Raise'],
  ['4', 'hold', 'Hold'],
  ['5', 'seen', 'Seen'],
] as const;

/** The list, and the leaf of what is chosen in it. The choice stands in the address. */
export function Results({
  result,
  text,
  step,
  focus,
}: {
  result: Schema['SearchResult'];
  text: string;
  step: string | undefined;
  focus: boolean;
}) {
  const here = useHere();
  const [params, setParams] = useSearchParams();
  const { ids } = result.answer;
  const rows = useRows(here.id, text, ids, result.first);
  const wanted = params.get('p');
  const chosen = Math.max(0, wanted ? ids.indexOf(wanted) : 0);
  const id = ids[chosen] ?? '';
  const leaf = useLeaf(here.id, id, text);
  const mark = useMark(here.id);
  const copy = useCopyLink();
  const [keeping, setKeeping] = useState(false);
  const choose = (index: number) =>
    setParams(
      (now) => {
        now.set('p', ids[index] ?? '');
        return now;
      },
      { replace: true, state: null },
    );
  const back = () =>
    setParams(
      (now) => {
        now.delete('p');
        return now;
      },
      { replace: true },
    );
  const writes = mayWrite(here) && id !== '';
  const keep = () => writes && setKeeping(true);
  const say = (word: string) => () =>
    writes && mark.mutate({ publication: id, mark: word, reason: '' });
  const link = () => leaf.data && copy(leaf.data.stableLink);
  useKeys({
    '1': keep,
    ...Object.fromEntries(MARKS.map(([key, word]) => [key, say(word)])),
    l: link,
  });
  if (ids.length === 0) {
    return <p className="page text-soft">Nothing matches. Try another word or a wider one.</p>;
  }
  return (
    <>
      <TwoPanes
        label="Leaf"
        open={wanted !== null}
        onBack={back}
        list={
          <ListPane
            label="Publications found"
            count={ids.length}
            chosen={chosen}
            onChoose={choose}
            onSight={rows.showTo}
            focusOn={focus ? 1 : 0}
          >
            {(index) => (
              <HitRow
                hit={rows.row(index)}
                group={here.id}
                chosen={index === chosen}
                onChoose={() => choose(index)}
              />
            )}
          </ListPane>
        }
        leaf={
          leaf.data && (
            <Leaf
              leaf={leaf.data}
              acts={
                <div className="mt-2 flex flex-wrap gap-x-4">
                  {writes && (
                    <>
                      <Act main hint="1" onClick={keep}>
                        Keep
                      </Act>
                      {MARKS.map(([key, word, label]) => (
                        <Act key={word} hint={key} onClick={say(word)}>
                          {label}
                        </Act>
                      ))}
                    </>
                  )}
                  <Act hint="l" onClick={link}>
                    Stable link
                  </Act>
                </div>
              }
            />
          )
        }
      />
      {keeping && (
        <KeepDialog
          group={here.id}
          publication={id}
          {...(step ? { step } : {})}
          onClose={() => setKeeping(false)}
        />
      )}
    </>
  );
}

function HitRow({
  hit,
  group,
  chosen,
  onChoose,
}: {
  hit: Schema['Hit'] | undefined;
  group: string;
  chosen: boolean;
  onChoose: () => void;
}) {
  if (!hit) return <div className="h-[54px] px-6 py-2 text-faint">…</div>;
  return (
    <PublicationRow
      publication={hit.publication}
      lit={hit.lit}
      to={`/g/${group}/p/${hit.publication.id}`}
      chosen={chosen}
      onChoose={onChoose}
      lamp={<Lamp state={hit.lamp} label={`my lamp: ${hit.lamp}`} />}
      after={hit.folders.length > 0 && ` · in ${hit.folders.map((f) => f.name).join(', ')}`}
    />
  );
}
