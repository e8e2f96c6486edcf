import { useState } from 'react';
import { Act, Menu } from '../../ui';
import { DriveDialog } from '../drive';
import { FORMS_OF_BIBLIOGRAPHY } from '../export';
import type { Said } from './api';

/** The bibliography as a file on the group's drive. */
export function OnDrive({ folder, said }: { folder: string; said: Said }) {
  const [format, setFormat] = useState('');
  return (
    <>
      <Menu name="On the drive" look="act">
        {(close) =>
          FORMS_OF_BIBLIOGRAPHY.map(([word, spoken]) => (
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
