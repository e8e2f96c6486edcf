import { useLayoutEffect, useRef, useState } from 'react';
import type { Schema } from '../../../api';
import { Act } from '../../../ui';
import { UNKNOWN, type Line } from '../../strategy';

type Limit = Omit<Line, 'id' | 'kind'> & { property: string };

const HEIGHT = 56;

/** Years, months or lengths: one bar beside the other, to pick or to drag across. */
export function TimeBars({
  data,
  line,
  property,
  onLimit,
}: {
  data: Schema['BreakdownShown'];
  line: Line | undefined;
  property: string;
  onLimit: (limit: Limit) => void;
}) {
  const [drag, setDrag] = useState<[number, number] | null>(null);
  const [from, setFrom] = useState<number | null>(null);
  const bars = property === 'pages' ? data.bars : withYearsAlone(data.bars);
  const list = useRef<HTMLOListElement>(null);
  // Where they do not all fit, the latest are in sight.
  useLayoutEffect(() => {
    if (list.current) list.current.scrollLeft = list.current.scrollWidth;
  }, [bars.length]);
  const most = Math.max(1, ...bars.map((bar) => bar.count));
  const range = (a: number, b: number) => {
    const first = bars[Math.min(a, b)]?.value ?? '';
    const last = bars[Math.max(a, b)]?.value ?? '';
    onLimit({
      property,
      ...ends(property, first, last),
      ...(line?.chosen?.includes(UNKNOWN) ? { chosen: [UNKNOWN] } : {}),
    });
  };
  const inside = (at: number) => {
    if (drag) return at >= Math.min(...drag) && at <= Math.max(...drag);
    return line ? isIn(property, line, bars[at]?.value ?? '') : true;
  };
  const unknown = line?.chosen?.includes(UNKNOWN) ?? false;
  return (
    <div className="flex items-end gap-4">
      <ol
        ref={list}
        className="flex min-w-0 flex-1 items-end overflow-x-auto pt-1"
        onPointerUp={() => {
          if (drag) range(...drag);
          setDrag(null);
        }}
        onPointerLeave={() => setDrag(null)}
      >
        {bars.map((bar, at) => (
          <li key={bar.value} className="max-w-[40px] min-w-[24px] flex-1">
            <button
              type="button"
              aria-label={`${bar.label}: ${bar.count.toLocaleString('en-GB')}`}
              aria-pressed={line !== undefined && inside(at)}
              title={`${bar.label}: ${bar.count.toLocaleString('en-GB')}`}
              className="flex w-full cursor-pointer touch-none flex-col items-center justify-end"
              onPointerDown={(event) => {
                // So that the bars passed over hear of it, too.
                event.currentTarget.releasePointerCapture(event.pointerId);
                setDrag([at, at]);
              }}
              onPointerEnter={() => setDrag((now) => now && [now[0], at])}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                range(event.shiftKey && from !== null ? from : at, at);
                if (!event.shiftKey) setFrom(at);
              }}
            >
              <svg aria-hidden="true" width="100%" height={HEIGHT} preserveAspectRatio="none">
                <rect
                  x="8%"
                  width="84%"
                  y={HEIGHT - height(bar.count, most)}
                  height={height(bar.count, most)}
                  className={inside(at) ? 'fill-primary' : 'fill-[var(--rule-strong)]'}
                />
              </svg>
              <span className="text-[11px] text-soft">{short(bar.label, at, bars.length)}</span>
            </button>
          </li>
        ))}
      </ol>
      {data.unknown > 0 && (
        <Act
          aria-pressed={unknown}
          onClick={() =>
            onLimit({
              ...line,
              property,
              chosen: unknown ? null : [UNKNOWN],
            })
          }
        >
          unknown {data.unknown.toLocaleString('en-GB')}
          {unknown && ': taken in'}
        </Act>
      )}
    </div>
  );
}

const MOST_FILLED = 1000;

/** Among months, what has its year only stands before the first month of that year. */
function withYearsAlone(all: Schema['BarShown'][]): Schema['BarShown'][] {
  const months = all.filter((bar) => bar.value.includes('-'));
  if (months.length === 0) return filled(all);
  const years = all.filter((bar) => !bar.value.includes('-'));
  return [...filled(months), ...years.map((bar) => ({ ...bar, label: `${bar.value} alone` }))].sort(
    (one, other) => (one.value < other.value ? -1 : 1),
  );
}

/** With the years or months in between in which nothing appeared. */
function filled(bars: Schema['BarShown'][]): Schema['BarShown'][] {
  const first = bars[0]?.value;
  const last = bars[bars.length - 1]?.value;
  if (!first || !last) return bars;
  const known = new Map(bars.map((bar) => [bar.value, bar]));
  const all: Schema['BarShown'][] = [];
  for (let value = first; value <= last && all.length < MOST_FILLED; value = following(value)) {
    all.push(known.get(value) ?? { value, label: value, count: 0, parents: [] });
  }
  return all.length < MOST_FILLED ? all : bars;
}

function following(value: string): string {
  const [year = 0, month] = value.split('-').map(Number);
  if (month === undefined) return String(year + 1).padStart(4, '0');
  const next = month === 12 ? [year + 1, 1] : [year, month + 1];
  return `${String(next[0]).padStart(4, '0')}-${String(next[1]).padStart(2, '0')}`;
}

function height(count: number, most: number): number {
  return count === 0 ? 0 : Math.max(2, Math.round(HEIGHT * Math.sqrt(count / most)));
}

/** Where there are many bars, only some are labelled. */
function short(label: string, at: number, all: number): string {
  const each = all > 40 ? 5 : all > 24 ? 2 : 1;
  if (at % each !== 0) return '\u00a0';
  return label.length > 5 ? label.slice(2) : label;
}

/** Lengths have both their ends in one bar. */
function ends(property: string, first: string, last: string) {
  if (property === 'pages') {
    const [from = ''] = first.split('-');
    const [, to = ''] = last.split('-');
    return { from, ...(to ? { to } : {}) };
  }
  if (property === 'came') return { from: `${first}-01`, to: lastDay(last) };
  return { from: first, to: last };
}

function lastDay(month: string): string {
  const [year = 0, number = 1] = month.split('-').map(Number);
  return `${month}-${new Date(Date.UTC(year, number, 0)).getUTCDate()}`;
}

function isIn(property: string, line: Line, value: string): boolean {
  if (line.last != null) return Number(value.slice(0, 4)) >= new Date().getFullYear() - line.last;
  if (!line.from && !line.to) return false;
  if (property === 'pages') {
    const [from = 0, to = Infinity] = value
      .split('-')
      .map((n) => (n === '' ? Infinity : Number(n)));
    return to >= Number(line.from ?? 0) && from <= Number(line.to ?? Infinity);
  }
  const first = (line.from ?? '').slice(0, value.length);
  const last = line.to ? line.to.slice(0, value.length) : '9999';
  return value >= first && (value <= last || value.startsWith(last));
}
