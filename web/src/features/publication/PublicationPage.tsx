import { useEffect, useState } from 'react';
import { useLocation, useParams, useSearchParams } from 'react-router';
import { Act, day, Failed, useCopyLink, useKeys, Waiting } from '../../ui';
import { LeaveActs } from '../export';
import { KeepDialog, useKeep, useLastFolder } from '../keeping';
import { ActivityLink } from '../activity';
import { HelpLink } from '../help';
import { mayWrite, useHere } from '../session';
import { Figures } from '../text';
import { useLeaf, useOpenedFromFeed, useOpening } from './api';
import { Details } from './Details';
import { InItsList } from './InItsList';
import { Leaf } from './Leaf';
import { MarkActs } from './MarkActs';
import type { MarkWord } from './marks';
import { Ties } from './Ties';
import { useMark } from './useMark';
import { useMarkKeys } from './useMarkKeys';

export function PublicationPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const outside = here.me.onlyFolders;
  const leaf = useLeaf(here.id, id, null);
  const copy = useCopyLink();
  const [keeping, setKeeping] = useState(false);
  const step = (useLocation().state as { step?: string } | null)?.step;
  const { mutate: open } = useOpening(here.id);
  const loaded = leaf.data?.publication.id === id;
  useEffect(() => {
    if (loaded && !outside) open({ publication: id, ...(step ? { step } : {}) });
  }, [loaded, outside, id, step, open]);
  const [params, setParams] = useSearchParams();
  const feed = params.get('from');
  const { mutate: openedFromFeed } = useOpenedFromFeed(here.id);
  const marks = mayWrite(here);
  useEffect(() => {
    if (!feed || !loaded) return;
    if (marks) openedFromFeed({ feed, publication: id });
    // Loaded again, it is no opening any more.
    setParams({}, { replace: true });
  }, [feed, loaded, marks, id, openedFromFeed, setParams]);
  const mark = useMark(here);
  const keep = useKeep(here.id);
  const folder = useLastFolder(here.id);
  const writes = mayWrite(here) && loaded;
  const say = (word: MarkWord) => {
    if (word !== 'keep')
      mark({ publications: [id], mark: word, reason: '' }, leaf.data?.publication.title);
    else if (folder) {
      keep.mutate({ folder, publications: [id], note: '', ...(step ? { step } : {}) });
    } else setKeeping(true);
  };
  const link = () => leaf.data && copy(leaf.data.stableLink);
  useMarkKeys({ may: writes, current: () => id, reached: () => true, onMark: say });
  useKeys({ l: link, n: () => writes && setKeeping(true) });
  // One and the same before and after the publication has come: it knows what was pressed already.
  const inItsList = <InItsList key="in its list" id={id} step={step} />;
  if (!leaf.data) {
    return (
      <article className="page printed">
        {inItsList}
        {leaf.error ? <Failed error={leaf.error} /> : <Waiting what="the publication" />}
      </article>
    );
  }
  return (
    <article className="page printed">
      <title>{`${leaf.data.publication.title} · Quiet Lantern`}</title>
      <h1 className="sr-only">Publication</h1>
      {inItsList}
      <div className="max-w-[52rem]">
        <Leaf
          leaf={leaf.data}
          acts={
            <div className="mt-3 flex flex-wrap gap-x-4 gap-y-1">
              {mayWrite(here) && <MarkActs main keys onMark={say} />}
              {mayWrite(here) && (
                <Act hint="n" onClick={() => setKeeping(true)}>
                  Keep with a note
                </Act>
              )}
              <Act hint="l" onClick={link}>
                Stable link
              </Act>
              {!outside && <LeaveActs of={() => ({ publications: [id] })} />}
              <Act onClick={() => window.print()}>Print</Act>
              {!outside && <ActivityLink of={`publication:${id}`} />}
              <HelpLink place="publication" />
            </div>
          }
        >
          <Details leaf={leaf.data} />
          {!outside && <Ties key={`ties of ${id}`} publication={id} />}
          {!outside && <Figures key={`figures of ${id}`} publication={id} />}
        </Leaf>
        <p className="mt-4 hidden text-soft print:block">
          {leaf.data.stableLink} · printed on {day(here.today)}
        </p>
      </div>
      {keeping && (
        <KeepDialog
          group={here.id}
          publications={[id]}
          {...(step ? { step } : {})}
          onClose={() => setKeeping(false)}
        />
      )}
    </article>
  );
}
