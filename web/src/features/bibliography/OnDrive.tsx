import { useState } from 'react';
import { Act, Menu } from '../../ui';
import { DriveDialog } from '../drive';
import type { Said } from './api';

const FORMATS = [
  ['docx', 'DOCX'],
  ['html', 'Web page'],
  ['text', 'Plain text'],
] as const;

/** The bibliography as a file on the group's drive. */
export function OnDrive({ folder, said }: { folder: string; said: Said }) {
  const [format, setFormat] = useState('');
  return (
    <>
      <Menu name="On the drive" look="act">
        {(close) =>
          FORMATS.map(([word, spoken]) => (
            <Act
              key={word}
              onClick={() => {
                setFormat(word);
                close();
              }}
            >
              {spoken}…
            </Act>
          ))
        }
      </Menu>
      {format && (
        <DriveDialog
          file={{ what: 'bibliography', folder, format, annotations: said }}
          name=""
          onClose={() => setFormat('')}
        />
      )}
    </>
  );
}
