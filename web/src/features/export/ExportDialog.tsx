import { useState } from 'react';
import { Dialog } from '../../ui';
import { DriveDialog } from '../drive';
import { useHere } from '../session';
import type { Schema } from '../../api';
import type { Exported } from './api';
import { FORMATS } from './formats';
import { lastWanted, noteWanted, type Chosen } from './lastWanted';
import { References } from './References';
import { Table } from './Table';

const TABLE: readonly (readonly [string, string])[] = [['table', 'Table to compare']];

type OnDrive = { file: Schema['DriveWanted']; name: string };

/** Publications as a file: of references in any of the formats, or a table. */
export function ExportDialog({ of, onClose }: { of: Exported; onClose: () => void }) {
  const here = useHere();
  const [chosen, setChosen] = useState(() => lastWanted(here.me.id));
  const change = (part: Partial<Chosen>) => {
    const next = { ...chosen, ...part };
    setChosen(next);
    noteWanted(here.me.id, next);
  };
  const [onDrive, setOnDrive] = useState<OnDrive | null>(null);
  if (onDrive) return <DriveDialog {...onDrive} onClose={onClose} />;
  return (
    <Dialog title="Export" wide onClose={onClose}>
      <fieldset className="mt-3">
        <legend className="small-head">Format</legend>
        <div className="flex flex-wrap gap-x-5">
          {[...FORMATS, ...TABLE].map(([format, spoken]) => (
            <label key={format} className="flex min-h-[28px] items-center gap-2">
              <input
                type="radio"
                name="format"
                checked={chosen.format === format}
                onChange={() => change({ format })}
              />
              {spoken}
            </label>
          ))}
        </div>
      </fieldset>
      {chosen.format === 'table' ? (
        <Table of={of} columns={chosen.columns} onChange={change} onClose={onClose} />
      ) : (
        <References
          of={of}
          chosen={chosen}
          onChange={change}
          onDrive={setOnDrive}
          onClose={onClose}
        />
      )}
    </Dialog>
  );
}
