import { useParams, useSearchParams } from 'react-router';
import { Failed, Waiting } from '../../ui';
import { Leaf, MARKS, useLeaf } from '../publication';
import { mayWrite, useHere } from '../session';
import { useRound } from './api';
import { MarkForm } from './MarkForm';

/** Where a mark of a letter leads: the work with the mark chosen, and one button that makes it. */
export function MarkPage() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const here = useHere();
  const round = params.get('in') ?? '';
  const leaf = useLeaf(here.id, id, null);
  const inRound = useRound(here.id, round);
  const failed = leaf.error ?? inRound.error;
  if (failed) return <Failed error={failed} />;
  if (!leaf.data || (round && !inRound.data)) return <Waiting what="the publication" />;
  const said = MARKS.find(({ word }) => word === params.get('say'));
  return (
    <article className="page">
      <title>{`${leaf.data.publication.title} · Quiet Lantern`}</title>
      <h1 className="sr-only">A mark on a publication</h1>
      <div className="max-w-[52rem]">
        <Leaf
          leaf={leaf.data}
          acts={
            mayWrite(here) && (
              <MarkForm
                key={`${id} ${said?.word ?? ''}`}
                leaf={leaf.data}
                round={inRound.data}
                on={params.get('on') ?? ''}
                said={said?.word ?? 'seen'}
              />
            )
          }
        />
      </div>
    </article>
  );
}
