import { render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { Changed } from './Changed';

it('says how it was and is, and opens what is long', () => {
  const long = 'a sentence that goes on '.repeat(4);
  render(
    <Changed
      changed={[
        { of: 'name', was: 'Moths', is: 'Bats' },
        { of: 'lies in', was: '', is: 'Verges' },
        { of: 'why', was: 'short', is: long },
      ]}
    />,
  );
  const [name, place, why] = screen.getAllByRole('listitem');
  expect(name).toHaveTextContent('name: Moths → became Bats');
  expect(place).toHaveTextContent('lies in: nothing');
  expect(why).toHaveTextContent('why: before and after');
  expect(screen.getByText(long.trim())).not.toBeVisible();
});
