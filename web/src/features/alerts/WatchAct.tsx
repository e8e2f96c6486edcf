import { useState } from 'react';
import { Act } from '../../ui';
import { mayWrite, useHere } from '../session';
import { sheetWith, strategyOfText, type Strategy } from '../strategy';
import { SetAlertDialog } from './SetAlertDialog';

/** Sets an alert from where one is, on lines that are saved with it; absent for who only reads. */
export function WatchAct({
  name,
  strategy,
  sheet,
  disabled = false,
  children = 'Set an alert',
}: {
  /** Proposed for the search and its alert. */
  name: string;
  strategy: Strategy;
  sheet?: string;
  disabled?: boolean;
  children?: string;
}) {
  const here = useHere();
  const [open, setOpen] = useState(false);
  if (!mayWrite(here)) return null;
  return (
    <>
      <Act disabled={disabled} onClick={() => setOpen(true)}>
        {children}
      </Act>
      {open && (
        <SetAlertDialog
          group={here.id}
          watch={{ name: shortened(name), strategy, ...(sheet && { sheet }) }}
          onClose={() => setOpen(false)}
        />
      )}
    </>
  );
}

/** The same on one line of words. */
export function WatchLine({
  name,
  line,
  widened = [],
  children,
}: {
  name: string;
  line: string;
  widened?: readonly string[];
  children?: string;
}) {
  const here = useHere();
  const strategy = strategyOfText(line);
  const lines = strategy.lines.map((one) =>
    widened.length > 0 ? { ...one, widened: [...widened] } : one,
  );
  return (
    <WatchAct
      name={name}
      strategy={{ ...strategy, lines }}
      sheet={sheetWith(here.id, line, { widened })}
      {...(children && { children })}
    />
  );
}

/** From a folder: what cites anything that is kept in it, or what changes of that. */
export function FollowFolder({ folder, name }: { folder: string; name: string }) {
  const here = useHere();
  const [open, setOpen] = useState(false);
  if (!mayWrite(here)) return null;
  const holding = (prefix: string): Strategy => ({
    version: 3,
    lines: [{ id: 'l1', kind: 'held', strategies: [`${prefix}:${folder}`] }],
  });
  return (
    <>
      <Act onClick={() => setOpen(true)}>Follow it</Act>
      {open && (
        <SetAlertDialog
          group={here.id}
          watch={[
            {
              label: 'What newly cites anything that is kept here',
              watch: { name: shortened(`Citing ${name}`), strategy: holding('c') },
            },
            {
              label: 'What changes here: retracted, corrected, final version, taken back',
              watch: {
                name: shortened(`Changes in ${name}`),
                strategy: holding('k'),
                tells: 'changes',
              },
            },
          ]}
          onClose={() => setOpen(false)}
        />
      )}
    </>
  );
}

/** Characters that a proposed name has at most. */
const LONGEST = 100;

function shortened(name: string): string {
  return name.length <= LONGEST ? name : `${name.slice(0, LONGEST - 1).trimEnd()}…`;
}
