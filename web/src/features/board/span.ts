import type { Schema } from '../../api';
import { shortDay } from '../../ui';

type Row = Schema['BoardRow'];

/** From when to when the arrivals of a row came. */
export function spanOf({ from, to }: Pick<Row, 'from' | 'to'>): string {
  return to ? `${shortDay(from)} to ${shortDay(to)}` : `since ${shortDay(from)}, gathering`;
}

/** What a row is called. */
export function nameOf(row: Row): string {
  return row.name ? `${row.name}, ${spanOf(row)}` : `Week of ${spanOf(row)}`;
}

/**
 * Where what a cell counts is looked at: in the round, those that are left for somebody; where a
 * row is several rounds, on the board of these rounds.
 *
 * @param only the alert that the board is of; empty: of all
 */
export function wayTo(
  group: string,
  row: Row,
  board: Pick<Schema['BoardView'], 'by' | 'from' | 'to'>,
  only: string,
  left = '',
): string {
  if (row.round) return `/g/${group}/r/${row.round}${left && `?left=${left}`}`;
  const alert = row.alert ?? only;
  const { from, to } = board.by === 'week' && row.to ? { from: row.from, to: row.to } : board;
  return `/g/${group}/board?${new URLSearchParams({ from, to, ...(alert && { alert }) })}`;
}

/** A day of the calendar some days from another, both as `2026-11-24`. */
export function dayFrom(day: string, days: number): string {
  const then = new Date(`${day}T12:00:00Z`);
  then.setUTCDate(then.getUTCDate() + days);
  return then.toISOString().slice(0, 10);
}

/** How many days there are from one to another, both of them counted. */
export function daysBetween(from: string, to: string): number {
  return (
    Math.round((Date.parse(`${to}T12:00:00Z`) - Date.parse(`${from}T12:00:00Z`)) / 86_400_000) + 1
  );
}
