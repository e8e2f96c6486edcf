import { expect, it } from 'vitest';
import type { Schema } from '../../api';
import { pieces } from './words';

const DEED: Schema['DeedShown'] = {
  who: 'Teodor Vance',
  words: 'moved {publications} from {folder} to {folder}',
  things: [
    { of: 'folder', id: 'f1', name: 'Verges' },
    { of: 'folder', id: 'f2', name: null },
  ],
  publications: 1,
  some: [{ of: 'publication', id: 'p1', name: 'Moths {folder}' }],
  times: 1,
  at: '2026-11-24T10:00:00Z',
};
const said = (deed: Partial<Schema['DeedShown']>) =>
  pieces({ ...DEED, ...deed }, 'g')
    .map((piece) => piece.text)
    .join('');

it('says what was done in words that lead there', () => {
  expect(pieces(DEED, 'g')).toEqual([
    { text: 'moved ' },
    // A title is not read as words.
    { text: 'Moths {folder}', to: '/g/g/p/p1' },
    { text: ' from ' },
    { text: 'Verges', to: '/g/g/f/f1' },
    { text: ' to ' },
    { text: 'a folder' },
  ]);
});

it('counts many, and names what is gone in general', () => {
  expect(said({ publications: 1200 })).toBe('moved 1,200 publications from Verges to a folder');
  expect(said({ some: [] })).toBe('moved a publication from Verges to a folder');
  expect(said({ publications: 0, some: [], things: [] })).toBe('moved something from  to ');
});
