import type { Schema } from '../../api';

type Figure = Schema['FigureShown'];

const n = (value: number, percent: boolean) =>
  percent ? `${Math.round(100 * value)} %` : value.toFixed(2).replace('-', '−');

const isThere = (value?: number | null) => typeof value === 'number';

/** A share is told of few works, too; what is beyond chance says nothing of them. */
const isTold = (figure: Figure, percent: boolean) => percent || figure.doubt !== 'few';

/** What it is; why there is none, where there is none. */
export function figureOf(figure: Figure, percent: boolean): string {
  if (figure.doubt === 'one verdict') return 'all said the same';
  if (!isThere(figure.value)) return '–';
  return isTold(figure, percent) ? n(figure.value, percent) : 'too few works';
}

export function intervalOf(figure: Figure, percent: boolean): string {
  const { low, high } = figure;
  if (!isThere(low) || !isThere(high) || !isTold(figure, percent)) return '';
  return `${n(low, percent)} to ${n(high, percent)}`;
}

export function monthInWords(month: string): string {
  return new Date(`${month}-01T00:00:00Z`).toLocaleDateString('en-GB', {
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  });
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
