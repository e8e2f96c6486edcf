import { useState, type MouseEvent } from 'react';
import { Link } from 'react-router';
import { Act } from '../../../ui';
import { HelpLink } from '../../help';
import { mayWrite, useHere } from '../../session';
import type { SheetState } from '../useSheet';
import { HoldDialog } from './HoldDialog';
import { LimitSetsDialog } from './LimitSetsDialog';
import { PassageDialog } from './PassageDialog';

/** Not a click that opens another window. */
function isHere(event: MouseEvent): boolean {
  return !event.metaKey && !event.ctrlKey && !event.shiftKey;
}

/** What can be put on the sheet besides words. */
export function SheetActs({
  sheet,
  onNew,
  onLimit,
}: {
  sheet: SheetState;
  onNew: () => void;
  onLimit: () => void;
}) {
  const here = useHere();
  const [open, setOpen] = useState<'hold' | 'sets' | 'passage' | null>(null);
  const limits = sheet.lines.filter((line) => line.kind === 'limit');
  const allOff = limits.every((line) => line.off);
  const close = () => setOpen(null);
  return (
    <>
      <Act onClick={onLimit}>Limit</Act>
      {limits.length > 1 && (
        <Act onClick={() => sheet.switchLimits(!allOff)}>
          {allOff ? 'All limits on' : 'All limits off'}
        </Act>
      )}
      <Act onClick={() => setOpen('hold')}>Hold a strategy</Act>
      <Act onClick={() => setOpen('passage')}>Passage</Act>
      {mayWrite(here) && <Act onClick={() => setOpen('sets')}>Limits of the group</Act>}
      <Link
        className="act"
        to={`/g/${here.id}/search`}
        onClick={(event) => isHere(event) && onNew()}
      >
        New sheet
      </Link>
      <Link className="act" to={`/g/${here.id}/trail`}>
        Trail
      </Link>
      <HelpLink place="search" />
      {open === 'hold' && <HoldDialog sheet={sheet} onClose={close} />}
      {open === 'sets' && <LimitSetsDialog sheet={sheet} onClose={close} />}
      {open === 'passage' && <PassageDialog sheet={sheet} onClose={close} />}
    </>
  );
}
