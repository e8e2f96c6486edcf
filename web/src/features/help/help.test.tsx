import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, it } from 'vitest';
import { GROUP, showAt } from '../../test-server';
import { strategyOfText } from '../strategy';
import { beginGuide, STEPS } from './guide';
import { Guide } from './Guide';
import { GuideOffer } from './GuideOffer';
import { HelpPage } from './HelpPage';
import { Own } from './Own';
import { PAGES } from './pages';

beforeEach(() => localStorage.clear());

const DEMO = { ...GROUP, demo: true };

it('explains a word on the spot, and stops on Escape', async () => {
  showAt('/g/group/x', <Own word="lamp" />);
  const word = await screen.findByRole('button', { name: 'lamp' });
  expect(word).toHaveAttribute('aria-expanded', 'false');
  await userEvent.click(word);
  expect(screen.getByRole('note')).toHaveTextContent('unlit until that member');
  expect(word).toHaveAccessibleDescription(/unlit until/);
  await userEvent.keyboard('{Escape}');
  expect(screen.queryByRole('note')).toBeNull();
});

it('guides through a first search, and never comes back once it is left', async () => {
  const lines: unknown[] = [];
  const guide = (
    <>
      <GuideOffer />
      <Guide
        lines={strategyOfText('moths').lines}
        settled={false}
        onLines={(next) => lines.push(next)}
      />
    </>
  );
  showAt('/g/group/x', guide, DEMO);
  await userEvent.click(await screen.findByText('Begin'));
  expect(screen.getByRole('status')).toHaveTextContent('1 of 5');
  await userEvent.click(screen.getByText('Do it for me'));
  expect(lines).toEqual([STEPS[0]?.lines]);
  await userEvent.click(screen.getByText('Next step'));
  expect(screen.getByRole('status')).toHaveTextContent('2 of 5');
  await userEvent.click(screen.getByText('Leave the guide'));
  expect(screen.queryByRole('status')).toBeNull();
  expect(screen.queryByText('Begin')).toBeNull();
});

it('is offered in the demo alone', async () => {
  showAt('/g/group/x', <div>page{<GuideOffer />}</div>);
  await screen.findByText('page');
  expect(screen.queryByText('Begin')).toBeNull();
});

it('knows when a step is done', () => {
  const done = (step: number, settled: boolean, ...texts: string[]) =>
    STEPS[step]?.done(
      texts.map((text, at) => ({ id: `${at}`, kind: 'words', text })),
      settled,
    );
  expect(done(0, false, 'moths')).toBe(false);
  expect(done(0, false, 'moths lamps')).toBe(true);
  expect(done(1, false, 'moths', '')).toBe(false);
  expect(done(1, false, 'moths', 'lamps')).toBe(true);
  expect(done(2, false, 'moths or lepidoptera')).toBe(true);
  expect(done(3, true, 'moths')).toBe(false);
  expect(done(4, true, 'moths')).toBe(true);
  beginGuide();
  expect(localStorage.getItem('lantern.guide')).toBe('0');
});

it('has a page for each place, with lines that can be run', async () => {
  showAt('/g/group/help/search', <HelpPage />);
  expect(await screen.findByRole('heading', { level: 1 })).toHaveTextContent('Help');
  for (const [place, page] of Object.entries(PAGES)) {
    expect(page.says.length, place).toBeGreaterThan(0);
    expect(page.words.length, place).toBeGreaterThan(0);
  }
});
