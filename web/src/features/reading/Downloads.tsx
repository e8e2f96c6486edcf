import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, Menu } from '../../ui';
import { DriveDialog } from '../drive';
import { useOpening } from '../publication';
import { mayWrite, useHere } from '../session';

/** The file to take along: alone, with its citation, with the notes in it. */
export function Downloads({ text }: { text: Schema['TextShown'] }) {
  const here = useHere();
  const [onDrive, setOnDrive] = useState(false);
  const opening = useOpening(here.id);
  const address = `/api/groups/${here.id}/texts/${text.copy.id}`;
  const ways = [
    ['file', 'the file'],
    ['bundle', 'with its citation (ZIP)'],
    ...(text.copy.form === 'pdf' ? [['noted', 'with the notes in it']] : []),
  ] as const;
  return (
    <>
      <Menu name="Download" look="act">
        {(close) => (
          <>
            {ways.map(([what, words]) => (
              <a
                key={what}
                className="act"
                href={`${address}/${what}`}
                download
                onClick={() => {
                  // It stands on the member's own trail; nothing is lost if it does not.
                  opening.mutate({ publication: text.copy.publication, downloaded: true });
                  close();
                }}
              >
                {words}
              </a>
            ))}
            {mayWrite(here) && (
              <Act
                onClick={() => {
                  setOnDrive(true);
                  close();
                }}
              >
                onto the drive…
              </Act>
            )}
          </>
        )}
      </Menu>
      {onDrive && (
        <DriveDialog
          file={{ what: 'text', text: text.copy.id }}
          name=""
          onClose={() => setOnDrive(false)}
        />
      )}
    </>
  );
}
