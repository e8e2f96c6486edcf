import { Link } from 'react-router';
import type { Schema } from '../../api';
import { useAddress } from '../../ui';

/** The flow as boxes with arrows; on a narrow screen its table says the same. */
export function Drawing({ drawing }: { drawing: Schema['FlowDrawing'] }) {
  const { to } = useAddress();
  const { width, height, boxes, arrows } = drawing;
  return (
    <svg
      role="group"
      aria-label="Flow"
      viewBox={`-2 -2 ${width + 4} ${height + 4}`}
      width={width + 4}
      height={height + 4}
      className="hidden fill-current text-[13px] md:block print:block"
    >
      <defs>
        <marker
          id="head"
          viewBox="0 0 8 8"
          refX="8"
          refY="4"
          markerWidth="7"
          markerHeight="7"
          orient="auto"
        >
          <path d="M0 0 L8 4 L0 8 z" />
        </marker>
      </defs>
      {arrows.map((arrow) => (
        <path key={arrow} d={arrow} fill="none" className="stroke-current" markerEnd="url(#head)" />
      ))}
      {boxes.map((box) => (
        <g key={`${box.x} ${box.y}`}>
          <rect
            x={box.x}
            y={box.y}
            width={box.width}
            height={box.height}
            rx="3"
            className="fill-base-100 stroke-rule-strong"
          />
          {box.lines.map((line, n) => (
            <g key={line.y} className={n === 0 ? 'font-semibold' : undefined}>
              <text x={box.x + 10} y={line.y}>
                {line.text}
              </text>
              <Counted
                at={{ x: box.x + box.width - 10, y: line.y }}
                to={line.key && to('n', line.key)}
              >
                {line.n.toLocaleString('en-GB')}
              </Counted>
            </g>
          ))}
        </g>
      ))}
    </svg>
  );
}

/** A number, and the way to its works, where it has one. */
function Counted({
  at,
  to,
  children,
}: {
  at: { x: number; y: number };
  to: string;
  children: string;
}) {
  const number = (
    <text {...at} textAnchor="end">
      {children}
    </text>
  );
  return to && children !== '0' ? (
    <Link replace to={to} className="fill-primary underline">
      {/* Wide enough for a finger. */}
      <rect x={at.x - 40} y={at.y - 17} width="48" height="24" fillOpacity="0" />
      {number}
    </Link>
  ) : (
    number
  );
}
