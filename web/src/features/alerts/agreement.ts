import type { Schema } from '../../api';

type Figure = Schema['FigureShown'];

const n = (value: number, percent: boolean) =>
  percent ? `${Math.round(100 * value)} %` : value.toFixed(2).replace('-', '−');

const isThere = (value?: number | null) => typeof value === 'number';

/** What it is; why there is none, where there is none. */
export function figureOf(figure: Figure, percent: boolean): string {
  if (isThere(figure.value)) return n(figure.value, percent);
  return figure.doubt === 'one verdict' ? 'all said the same' : '–';
}

export function intervalOf({ low, high, doubt }: Figure, percent: boolean): string {
  if (!isThere(low) || !isThere(high)) return '';
  const few = doubt === 'few' ? ', too few to say much' : '';
  return `${n(low, percent)} to ${n(high, percent)}${few}`;
}

/** What the figures come to, in words. */
export function inOneSentence(of: Schema['AgreementShown']): string {
  const same = `All said the same on ${of.agreed} of ${of.counted}`;
  const { value, low, doubt } = of.ac1;
  if (doubt === 'one verdict')
    return `${same}, and never anything else: how much of it is chance cannot be told.`;
  if (doubt === 'few') return `${same}: too few works to say how much of it is chance.`;
  if (!isThere(value) || !isThere(low)) return `${same}.`;
  if (low > 0.6)
    return `${same}: far more than by chance, also at the least that the interval leaves.`;
  if (low > 0) return `${same}: more than by chance.`;
  return `${same}: it may be chance alone.`;
}
