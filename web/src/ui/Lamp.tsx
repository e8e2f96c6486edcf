const CAP = 'M5.2 0h2.6v2h2.4v2H2.8V2h2.4zM2.3 16.5h8.4V19H2.3z';
const GLASS = 'M3.3 4.6h6.4l1.6 3v5.2l-1.6 3.1H3.3l-1.6-3.1V7.6z';
const LOWER_HALF = 'M1.7 10.3h9.6v2.5l-1.6 3.1H3.3l-1.6-3.1z';

export type LampState = 'unlit' | 'lit' | 'dim' | 'rested';

/** A lantern: outline unlit, filled lit, half filled on hold, broken where it rests. Always says so in words too. */
export function Lamp({ state, label }: { state: string; label: string }) {
  const edge = state === 'unlit' || state === 'rested' ? 'var(--lamp-edge)' : 'var(--lit-ink)';
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox="0 0 13 19"
      width="13"
      height="19"
      className="flex-none"
    >
      <path d={CAP} fill={edge} />
      {state === 'dim' && <path d={LOWER_HALF} fill="var(--color-accent)" />}
      <path
        d={GLASS}
        fill={state === 'lit' ? 'var(--color-accent)' : 'none'}
        stroke={edge}
        strokeWidth="1.3"
        {...(state === 'rested' && { strokeDasharray: '2 2' })}
      />
    </svg>
  );
}
