import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { HeadingAsked } from './HeadingAsked';

const LINE = { by: null, count: 1, withNarrower: 1, below: 0, retired: false };

const HEADING: Schema['HeadingFacts'] = {
  label: 'Lepidoptera',
  uri: 'h:1',
  names: ['Moths'],
  former: [],
  note: '',
  path: [],
  broader: [],
  narrower: [{ ...LINE, label: 'Noctuidae' }],
  related: [],
  aspects: [{ word: 'behaviour-of', label: 'behaviour of', note: '' }],
  count: 0,
  withNarrower: 358,
  retired: false,
  replacedBy: [],
};

const ASKED: Schema['AskedShown'] = {
  count: 358,
  itOnly: 0,
  withBelow: 358,
  anywhere: 358,
  central: 120,
  unwidened: 358,
  names: 401,
  related: 358,
  aspects: [{ word: 'behaviour-of', count: 40 }],
};

const show = (heading: Schema['HeadingFacts']) => {
  const asked = serve({ 'GET /headings/asked': ASKED });
  showAt('/g/group/catalogue/headings', <HeadingAsked heading={heading} />);
  return asked;
};

afterEach(() => vi.unstubAllGlobals());

it('starts with all below where nothing carries the heading itself', async () => {
  show(HEADING);
  expect(await screen.findByLabelText('What is meant')).toHaveValue('below');
  expect(screen.getByText('heading/narrower: "Lepidoptera"')).toBeInTheDocument();
});

it('starts with the heading itself where something carries it', () => {
  show({ ...HEADING, count: 113 });
  expect(screen.getByLabelText('What is meant')).toHaveValue('only');
  expect(screen.getByText('heading/exact: "Lepidoptera"')).toBeInTheDocument();
});

it('reads as a sentence whose parts say what each other way would find', async () => {
  show(HEADING);
  const place = await screen.findByLabelText('Where it stands');
  expect(await within(place).findByText('where they are mainly about it (120)')).toBeTruthy();
  await userEvent.selectOptions(place, 'central');
  await userEvent.click(screen.getByRole('button', { name: /behaviour of/ }));
  expect(screen.getByText('as to behaviour of it')).toBeInTheDocument();
  expect(
    screen.getByText('heading/narrower/central/behaviour-of: "Lepidoptera"'),
  ).toBeInTheDocument();
});
