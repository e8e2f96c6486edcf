import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { Problem, type Schema } from '../../../api';
import { serve, showAt } from '../../../test-server';
import type { Line } from '../../strategy';
import { useSheet } from '../useSheet';
import { Sheet } from './Sheet';

const MOTHS: Line = { id: 'm', kind: 'words', text: 'moth* zzz' };
const YEARS: Line = { id: 'y', kind: 'limit', property: 'date', from: '2016' };

const refused = new Problem(
  422,
  'search-problem',
  'column 6: this quotation mark is never closed',
  {
    problems: [
      {
        line: 'm',
        sentence: 'column 6: this quotation mark is never closed',
        span: { start: 5, end: 6 },
      },
    ],
  },
);

const counted = (line: string, more: Partial<Schema['LineCounted']>) => ({
  line,
  alone: 10,
  left: 4,
  without: 9,
  rulesOut: false,
  costsMost: false,
  forms: [],
  offers: [],
  ...more,
});

const ANSWER: Schema['Answer'] = {
  count: 4,
  listed: 4,
  asOf: 'x',
  at: '2026-11-24T06:40:00Z',
  number: 1,
  ids: [],
  lines: [
    counted('m', {
      costsMost: true,
      forms: [{ typed: 'zzz', forms: ['zzz', 'zzzs'] }],
      offers: [
        {
          kind: 'spelling',
          span: { start: 6, end: 9 },
          text: 'zoo',
          count: 7,
          inPlace: true,
          line: 'moth* zoo',
        },
      ],
    }),
    counted('y', { unknown: 3 }),
  ],
  notes: [
    {
      line: 'm',
      code: 'MATCHES_NOTHING',
      column: 7,
      span: { start: 6, end: 9 },
      sentence: 'column 7: “zzz” is in no publication',
    },
  ],
  covers: [{ line: 'm', typed: 'moth*', words: 1 }],
};

const settle = vi.fn();

function Shown({ lines, problem }: { lines: Line[]; problem: Problem | null }) {
  const sheet = useSheet(() => lines);
  return (
    <Sheet
      sheet={sheet}
      answer={ANSWER}
      problem={problem}
      searched={{ version: 2, lines }}
      onSettle={settle}
      onLimit={() => undefined}
      acts={null}
    />
  );
}

function show(lines: Line[], problem: Problem | null = null) {
  settle.mockClear();
  serve({ 'GET /sources': [], 'GET /search/suggestions': [] });
  showAt('/g/group/search', <Shown lines={lines} problem={problem} />);
}

afterEach(() => vi.unstubAllGlobals());

it('says what is wrong in a line, where, and shows the place', () => {
  show([{ ...MOTHS, text: 'moth "dim' }], refused);
  expect(screen.getByRole('alert')).toHaveTextContent('this quotation mark is never closed');
  expect(screen.getByRole('alert').querySelector('mark')).toHaveTextContent('"');
  expect(screen.getByLabelText('Line 1')).toBeInvalid();
  expect(screen.getByLabelText('Line 2')).toBeValid();
});

it('shows beside each line what it finds, leaves and costs, and what is worth knowing', () => {
  show([MOTHS, YEARS]);
  const [first, second] = screen.getAllByRole('listitem');
  expect(first).toHaveTextContent('alone 10');
  expect(first).toHaveTextContent('costs most');
  expect(first).toHaveTextContent('left after it 4');
  expect(first).toHaveTextContent('without it 9');
  expect(first).toHaveTextContent('moth* covers 1 word · column 7: “zzz” is in no publication');
  expect(first).toHaveTextContent('zzz, zzzs');
  expect(second).toHaveTextContent('Years: from 2016');
  expect(second).toHaveTextContent('leaves out 3 publications where it is unknown');
});

it('takes in what is unknown, and a spelling, each in one act', async () => {
  show([MOTHS, YEARS]);
  await userEvent.click(screen.getByText('take in'));
  expect(screen.getByText('Years: from 2016 or unknown')).toBeInTheDocument();
  await userEvent.click(screen.getByText(/did you mean/));
  expect(screen.getByLabelText('Line 1')).toHaveValue('moth* zoo');
});

it('is written by keyboard alone', async () => {
  show([MOTHS]);
  await userEvent.click(screen.getByLabelText('Line 1'));
  await userEvent.keyboard('{Shift>}{Enter}{/Shift}');
  expect(screen.getByLabelText('Line 2')).toHaveFocus();
  await userEvent.keyboard('bats');
  await userEvent.keyboard('{Alt>}{ArrowUp}{/Alt}');
  expect(screen.getByLabelText('Line 1')).toHaveValue('bats');
  expect(screen.getByLabelText('Line 1')).toHaveFocus();
  await userEvent.keyboard('{Alt>}{ArrowDown}{/Alt}');
  expect(screen.getByLabelText('Line 2')).toHaveValue('bats');
  expect(screen.getByLabelText('Line 2')).toHaveFocus();
  await userEvent.keyboard('{Enter}');
  expect(settle).toHaveBeenCalledTimes(1);
});

it('strikes an empty line by Backspace, and goes to the one before', async () => {
  show([MOTHS]);
  await userEvent.click(screen.getByLabelText('Line 1'));
  await userEvent.keyboard('{Shift>}{Enter}{/Shift}');
  expect(screen.getByLabelText('Line 2')).toHaveFocus();
  await userEvent.keyboard('x{Backspace}{Backspace}');
  expect(screen.getByLabelText('Line 1')).toHaveFocus();
  expect(within(screen.getByRole('list')).getAllByRole('listitem')).toHaveLength(2);
});

it('folds to one line', async () => {
  show([MOTHS, YEARS]);
  await userEvent.click(screen.getByText('Fold'));
  expect(screen.getByLabelText('Sheet')).toHaveTextContent('moth* zzz · Years: from 2016');
  expect(screen.queryByRole('search')).toBeNull();
});
