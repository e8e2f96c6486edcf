import { fireEvent, render, screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { Problem } from '../../api';
import { Sheet } from './Sheet';

const refused = new Problem(
  422,
  'search-problem',
  'column 14: this quotation mark is never closed',
  {
    problems: [{ span: { start: 13, end: 14 } }],
  },
);

function show(text: string, problem: Problem | null = null) {
  const settle = vi.fn();
  render(
    <Sheet
      text={text}
      onText={() => undefined}
      problem={problem}
      notes={{
        count: 2,
        asOf: 'x',
        number: 1,
        ids: [],
        covers: [{ line: '1', typed: 'moth*', words: 1 }],
        notes: [
          {
            line: '1',
            code: 'MATCHES_NOTHING',
            column: 6,
            span: { start: 5, end: 8 },
            sentence: 'column 6: “zzz” is in no publication',
          },
        ],
      }}
      onSettle={settle}
    />,
  );
  return settle;
}

it('says what is wrong, where, and shows the place', () => {
  show('moth or lamp "dim', refused);
  expect(screen.getByRole('alert')).toHaveTextContent('column 14: this quotation mark');
  expect(screen.getByRole('alert').querySelector('mark')).toHaveTextContent('"');
  expect(screen.getByLabelText('Search line')).toBeInvalid();
});

it('points out what is worth knowing when nothing is wrong', () => {
  show('moth* zzz');
  expect(screen.getByText(/moth\* covers 1 word/)).toHaveTextContent('“zzz” is in no publication');
  expect(screen.queryByRole('alert')).toBeNull();
});

it('settles by Enter, but never an empty line', () => {
  const settle = show('moth');
  fireEvent.submit(screen.getByRole('search'));
  expect(settle).toHaveBeenCalledTimes(1);
});

it('does not settle spaces', () => {
  const settle = show('   ');
  fireEvent.submit(screen.getByRole('search'));
  expect(settle).not.toHaveBeenCalled();
});
