import { act, screen } from '@testing-library/react';
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
  showAt('/g/group/p/x', <Abstract text="Pipistrelles avoid lit crossings." lit={[]} />);
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
