import { expect, it } from 'vitest';
import { fitting, mentionAt, mentioning } from './mention';

const NAMES = ['Ilse Brandvold', 'Teodor Vance', 'Jon Aske'];

it('knows what is being mentioned where the caret is', () => {
  expect(mentionAt('ask @Te', 7)).toEqual({ from: 4, typed: 'Te' });
  expect(mentionAt('@', 1)).toEqual({ from: 0, typed: '' });
  expect(mentionAt('mail@te', 7)).toBeNull();
  expect(mentionAt('ask @Te', 3)).toBeNull();
  expect(mentionAt('ask @Te, please', 15)).toBeNull();
});

it('offers members by any part of their name until it is written out', () => {
  expect(fitting(NAMES, '')).toEqual(NAMES);
  expect(fitting(NAMES, 'va')).toEqual(['Teodor Vance']);
  expect(fitting(NAMES, 'teodor vance ')).toEqual([]);
  expect(fitting(NAMES, 'zz')).toEqual([]);
});

it('puts the name in and goes on behind it', () => {
  expect(mentioning('ask @Te about it', 7, 'Teodor Vance')).toEqual([
    'ask @Teodor Vance about it',
    18,
  ]);
  expect(mentioning('nothing', 3, 'Teodor Vance')).toEqual(['nothing', 3]);
});
