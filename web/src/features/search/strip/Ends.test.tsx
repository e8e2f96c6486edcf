import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it, vi } from 'vitest';
import { Ends } from './Ends';

function show(property: string) {
  const limit = vi.fn();
  render(<Ends property={property} line={undefined} onLimit={limit} />);
  return limit;
}

const set = async (from: string) => {
  const field = screen.getByLabelText('from');
  await userEvent.clear(field);
  await userEvent.type(field, from);
  await userEvent.click(screen.getByText('Set'));
};

it.each(['2016-13', '2016-00', '16', '2016-', 'soon'])(
  'says that %s is no year and sets nothing',
  async (bad) => {
    const limit = show('date');
    await set(bad);
    expect(screen.getByRole('alert')).toHaveTextContent(`“${bad}” is not a year`);
    expect(limit).not.toHaveBeenCalled();
    await set('2016-12');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(limit).toHaveBeenCalledWith({ property: 'date', from: '2016-12' });
  },
);

it('knows the days of the calendar', async () => {
  const limit = show('came');
  await set('2026-02-30');
  expect(screen.getByRole('alert')).toHaveTextContent('“2026-02-30” is not a day of the calendar');
  await set('2024-02-29');
  expect(limit).toHaveBeenCalledTimes(1);
});

it('rolls by a number of years only', async () => {
  const limit = show('date');
  await userEvent.type(screen.getByLabelText('this year and the last'), '0');
  await userEvent.click(screen.getByText('Roll'));
  expect(screen.getByRole('alert')).toHaveTextContent('“0” is not a number of years');
  await userEvent.type(screen.getByLabelText('this year and the last'), '{Backspace}5');
  await userEvent.click(screen.getByText('Roll'));
  expect(limit).toHaveBeenCalledWith({ property: 'date', last: 5 });
});
