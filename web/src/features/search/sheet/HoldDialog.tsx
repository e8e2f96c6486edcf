import { useState } from 'react';
import type { Schema } from '../../../api';
import { Act, counted, Dialog } from '../../../ui';
import { useHere } from '../../session';
import { useBeginnings } from '../sheetApi';
import { shortText } from '../../strategy';
import type { SheetState } from '../useSheet';

/** Puts whole strategies on the sheet as one line: any of them will do. */
export function HoldDialog({ sheet, onClose }: { sheet: SheetState; onClose: () => void }) {
  const known = useBeginnings(useHere().id).data;
  const [ticked, setTicked] = useState<string[]>([]);
  const put = (rulesOut: boolean) => {
    sheet.add([{ kind: 'held', strategies: ticked, ...(rulesOut ? { rulesOut } : {}) }]);
    onClose();
  };
  const tick = (name: string) =>
    setTicked((now) => (now.includes(name) ? now.filter((n) => n !== name) : [...now, name]));
  return (
    <Dialog title="Hold a strategy" onClose={onClose}>
      <p className="mt-1 text-soft">
        A line can hold whole searches; any of the ticked ones will do. It holds them as they are
        now.
      </p>
      <div className="mt-2 max-h-[50vh] overflow-y-auto">
        <Holdables name="Saved searches" all={known?.saved ?? []} ticked={ticked} onTick={tick} />
        <Holdables name="Your trail" all={known?.steps ?? []} ticked={ticked} onTick={tick} />
      </div>
      <p className="mt-4 flex gap-4">
        <Act main disabled={ticked.length === 0} onClick={() => put(false)}>
          Put on the sheet
        </Act>
        <Act disabled={ticked.length === 0} onClick={() => put(true)}>
          Rule out
        </Act>
        <Act onClick={onClose}>Hold nothing</Act>
      </p>
    </Dialog>
  );
}

function Holdables({
  name,
  all,
  ticked,
  onTick,
}: {
  name: string;
  all: Schema['Holdable'][];
  ticked: string[];
  onTick: (name: string) => void;
}) {
  if (all.length === 0) return null;
  return (
    <fieldset>
      <legend className="small-head mt-2">{name}</legend>
      {all.map((held) => (
        <label key={held.name} className="flex min-h-[26px] items-baseline gap-2">
          <input
            type="checkbox"
            checked={ticked.includes(held.name)}
            onChange={() => onTick(held.name)}
          />
          <span className="min-w-0 flex-1 truncate font-serif">
            {held.title || shortText(held.strategy)}
          </span>
          <span className="text-soft">{counted(held.count, 'publication')}</span>
        </label>
      ))}
    </fieldset>
  );
}
