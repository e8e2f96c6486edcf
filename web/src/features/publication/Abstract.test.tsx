import { act, createEvent, fireEvent, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { Abstract } from './Abstract';

afterEach(() => vi.unstubAllGlobals());

function select(from: number, to: number) {
  const text = screen.getByText(/Pipistrelles avoid/).firstChild as Text;
  act(() => {
    document.getSelection()?.setBaseAndExtent(text, from, text, to);
    document.dispatchEvent(new Event('selectionchange'));
  });
}

it('looks up what is selected in it', async () => {
  serve({
    'GET /headings': [
      {
        label: 'Pipistrellus',
        by: 'pipistrelles',
        count: 3,
        withNarrower: 9,
        below: 1,
        retired: false,
      },
    ],
  });
  showAt(
    '/g/group/p/x',
    <Abstract
      text="Pipistrelles avoid lit crossings."
      lit={[]}
      citation="Oxlade (2025). Night walks. https://x.example/p/1"
    />,
  );
  await screen.findByText(/Pipistrelles avoid/);
  expect(screen.queryByRole('region', { name: 'Selected words' })).toBeNull();
  select(0, 12);
  expect(await screen.findByText('Pipistrellus 9')).toHaveAttribute(
    'href',
    '/g/group/catalogue/headings?h=Pipistrellus',
  );
  expect(screen.getByText('Search for it')).toHaveAttribute(
    'href',
    '/g/group/search?add=%22Pipistrelles%22',
  );
  select(0, 0);
  expect(screen.queryByRole('region', { name: 'Selected words' })).toBeNull();
});

it('lets copied words carry citation and link on their last line, unless that is switched off', () => {
  showAt(
    '/g/group/p/x',
    <Abstract text="Pipistrelles avoid lit crossings." lit={[]} citation="Oxlade (2025)." />,
  );
  const copy = () => {
    const written: Record<string, string> = {};
    const event = createEvent.copy(screen.getByText(/Pipistrelles avoid/), {
      clipboardData: { setData: (type: string, text: string) => (written[type] = text) },
    });
    fireEvent(screen.getByText(/Pipistrelles avoid/), event);
    return written['text/plain'];
  };
  select(0, 12);
  expect(copy()).toBe('Pipistrelles\n\nOxlade (2025).');
  localStorage.setItem('lantern.words-cited', 'off');
  expect(copy()).toBeUndefined();
  localStorage.clear();
});
