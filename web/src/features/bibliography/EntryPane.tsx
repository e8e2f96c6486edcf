import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, shortDay } from '../../ui';
import { Annotation } from '../annotation';
import { CitedEntry, FaultView } from '../citing';
import { mayWrite, useHere } from '../session';
import type { useEntryActs } from './actsApi';
import { useChapterActs } from './chaptersApi';
import { FieldsRead } from './FieldsRead';
import { Quoted } from './Quoted';

/** One entry: what is wrong in it before it leaves, and its fields as the group reads them. */
export function EntryPane({
  folder,
  entry,
  layout,
  chapters,
  edits,
  acts,
  onTick,
}: {
  folder: string;
  entry: Schema['EntryOfFolder'];
  layout: Schema['EntryLayout'];
  /** The headings, in their order. */
  chapters: readonly string[];
  /** Whether the reader may change the folder. */
  edits: boolean;
  acts: ReturnType<typeof useEntryActs>;
  onTick: () => void;
}) {
  const here = useHere();
  const writes = mayWrite(here);
  const { publication, faults, compared } = entry;
  const chapterActs = useChapterActs(here.id, folder);
  const first = faults.find((fault) => fault.mend);
  return (
    <>
      <h2 className="sr-only">The entry</h2>
      <CitedEntry parts={entry.parts} layout={layout} />
      <p className="mt-1 flex flex-wrap gap-x-4">
        {writes && (
          <Act hint="x" onClick={onTick}>
            {compared ? 'To be compared again' : 'Compared with the work'}
          </Act>
        )}
        <Link className="act" to={`/g/${here.id}/p/${publication}`}>
          Open
        </Link>
      </p>
      <Annotation key={`said ${publication}`} of={{ group: here.id, folder, publication }} />
      <Quoted key={`quoted ${publication}`} entry={entry} edits={edits} acts={chapterActs} />
      {edits && chapters.length > 0 && (
        <label className="mt-2 flex items-baseline gap-x-3">
          <span className="small-head">Heading</span>
          <select
            className="field min-w-0"
            value={entry.chapter}
            onChange={(event) =>
              chapterActs.put.mutate({ publications: [publication], chapter: event.target.value })
            }
          >
            <option value="">none</option>
            {chapters.map((chapter) => (
              <option key={chapter}>{chapter}</option>
            ))}
          </select>
        </label>
      )}
      <section aria-label="Before this leaves">
        <h3 className="small-head mt-3">Before this leaves</h3>
        {compared && (
          <p className="text-soft">
            {compared.by} compared it with the work on {shortDay(compared.at)}.
          </p>
        )}
        {faults.length === 0 && <p className="text-soft">Nothing was found to be wrong.</p>}
        <ul>
          {faults.map((fault) => (
            <FaultView
              key={`${publication} ${fault.kind} ${fault.field} ${fault.reads}`}
              fault={fault}
              publication={publication}
              writes={writes}
              hint={fault === first ? 'm' : undefined}
              mend={acts.mend}
            />
          ))}
        </ul>
      </section>
      {!here.me.onlyFolders && (
        <FieldsRead key={publication} publication={publication} mend={acts.mend} />
      )}
    </>
  );
}
