import { useState } from 'react';
import { Act, Dialog } from '../../../ui';
import { HeldChoice } from '../HeldChoice';
import type { SheetState } from '../useSheet';

/** Puts whole strategies on the sheet as one line: any of them will do. */
export function HoldDialog({ sheet, onClose }: { sheet: SheetState; onClose: () => void }) {
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
      <HeldChoice many chosen={ticked} onChoose={tick} />
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
