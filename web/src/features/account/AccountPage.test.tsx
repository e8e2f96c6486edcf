import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { AccountPage } from '.';

const AGENT = 'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0';
const visit = (id: string, here: boolean) => ({
  id,
  agent: here ? AGENT : '',
  began: '2026-11-23T08:00:00Z',
  last: '2026-11-24T08:00:00Z',
  here,
});

const SETTINGS = {
  zone: 'Europe/Oslo',
  letters: true,
  letterDays: [1, 2, 3, 4, 5, 6, 7],
  letterHours: ['07:00:00'],
  lettersAtOnce: false,
  lettersOfNothing: false,
};
const ARRIVE = { email: 'ilse@ternhollow.example', came: 0, rests: false, at: '', why: '' };

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());

function open(letters = ARRIVE) {
  vi.stubGlobal('matchMedia', () => ({ matches: true, addEventListener: () => {} }));
  const asked = serve({
    'GET /api/me/visits': [visit('a1', true), visit('b2', false)],
    'DELETE /api/me/visits/b2': {},
    'PUT /api/me/password': {},
    'GET /api/me/settings': SETTINGS,
    'GET /api/me/letters': letters,
    'POST /api/me/letters/again': { ...ARRIVE, came: 0 },
    'PUT /api/me/settings': {},
    'POST /api/me/erased': {},
    'GET /api/me': { email: 'ilse@ternhollow.example', groups: [], steward: false },
  });
  showAt('/g/group/account', <AccountPage />);
  return asked;
}

it('lists visits with what the browser calls itself, and ends one', async () => {
  const asked = open();
  const visits = within(await screen.findByRole('region', { name: 'Where you are signed in' }));
  expect(await visits.findByText('Firefox on Linux')).toBeVisible();
  expect(visits.getAllByRole('button', { name: /^End the visit/ })).toHaveLength(1);
  fireEvent.click(visits.getByRole('button', { name: /an unnamed browser/ }));
  await waitFor(() => expect(asked.some((one) => one.path.endsWith('/visits/b2'))).toBe(true));
});

it('changes the password with the old one, and keeps what was typed until it is done', async () => {
  const asked = open();
  const form = within(await screen.findByRole('region', { name: 'Another password' }));
  fireEvent.change(form.getByLabelText('Your password'), { target: { value: 'old-words-here' } });
  fireEvent.change(form.getByLabelText(/^Another one/), { target: { value: 'new-words-here' } });
  fireEvent.click(form.getByRole('button', { name: 'Change it' }));
  await waitFor(() =>
    expect(asked.find((one) => one.path.endsWith('/me/password'))?.body).toEqual({
      password: 'old-words-here',
      next: 'new-words-here',
    }),
  );
  await waitFor(() => expect(form.getByLabelText('Your password')).toHaveValue(''));
});

it('has the colours of the device until others are chosen', async () => {
  open();
  const colours = within(await screen.findByRole('group', { name: 'Colours' }));
  expect(colours.getByRole('button', { name: 'as the device has it' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  fireEvent.click(colours.getByRole('button', { name: 'day' }));
  expect(document.documentElement.dataset.theme).toBe('daybreak');
  fireEvent.click(colours.getByRole('button', { name: 'as the device has it' }));
  expect(document.documentElement.dataset.theme).toBe('nightfall');
});

it('says on which days and at which hours letters come, and what they tell', async () => {
  const asked = open();
  const letters = within(await screen.findByRole('region', { name: 'Letters' }));
  const set = await letters.findByText('Set it so');
  expect(set).toBeDisabled();
  fireEvent.change(letters.getByLabelText('at'), { target: { value: '08:30' } });
  fireEvent.click(letters.getByText('Another hour'));
  fireEvent.click(letters.getByText('Another hour'));
  fireEvent.click(letters.getByRole('button', { name: 'Not at 16:00' }));
  fireEvent.click(letters.getByLabelText('Sunday'));
  fireEvent.click(letters.getByLabelText('As soon as a round closes, too'));
  fireEvent.click(set);
  await waitFor(() =>
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({
      ...SETTINGS,
      letterDays: [1, 2, 3, 4, 5, 6],
      letterHours: ['08:30', '12:00'],
      lettersAtOnce: true,
    }),
  );
});

it('keeps one day and one hour, and stops letters by the tick above', async () => {
  const asked = open();
  const letters = within(await screen.findByRole('region', { name: 'Letters' }));
  for (const name of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']) {
    fireEvent.click(await letters.findByLabelText(name));
  }
  expect(letters.getByLabelText('Sunday')).toBeDisabled();
  expect(letters.queryByText('not then')).toBeNull();
  fireEvent.click(letters.getByLabelText(/^One letter/));
  fireEvent.click(letters.getByText('Set it so'));
  await waitFor(() =>
    expect(asked.find((one) => one.method === 'PUT')?.body).toMatchObject({
      letters: false,
      letterDays: [7],
    }),
  );
});

it('warns of letters that came back, and has them written again', async () => {
  const asked = open({ ...ARRIVE, came: 5, rests: true, at: '2026-11-23T08:00:00Z', why: 'full' });
  const warning = await screen.findByText(/^5 letters to ilse@ternhollow.example came back/);
  expect(warning).toHaveTextContent('the last on 23 November 2026: full');
  expect(screen.getByText(/^Therefore none is written there/)).toBeVisible();
  fireEvent.click(screen.getByText('Write to me again'));
  await waitFor(() => expect(asked.some((one) => one.path.endsWith('/again'))).toBe(true));
});

it('erases with the password only, and leads out', async () => {
  const asked = open();
  fireEvent.click(await screen.findByRole('button', { name: 'Erase it…' }));
  const dialog = within(screen.getByRole('dialog', { hidden: true }));
  expect(dialog.getByText('Erase it for good')).toBeDisabled();
  fireEvent.change(dialog.getByLabelText('Your password'), { target: { value: 'my-words-here' } });
  fireEvent.click(dialog.getByText('Erase it for good'));
  await waitFor(() =>
    expect(asked.find((one) => one.path.endsWith('/erased'))?.body).toEqual({
      password: 'my-words-here',
    }),
  );
});

it('shows dates in the language that is chosen, in this browser', async () => {
  open();
  const dates = await screen.findByLabelText('Dates:');
  expect(screen.getByText('today is 24 November 2026')).toBeVisible();
  fireEvent.change(dates, { target: { value: 'de' } });
  expect(screen.getByText('today is 24. November 2026')).toBeVisible();
  fireEvent.change(dates, { target: { value: 'iso' } });
  expect(screen.getByText('today is 2026-11-24')).toBeVisible();
  expect(localStorage.getItem('lantern.dates')).toBe('iso');
});
