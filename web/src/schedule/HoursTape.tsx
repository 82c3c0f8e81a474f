import { CalendarTag } from './CalendarTag.js';
import { TAPE_FROM, TAPE_TO } from './hoursTape.js';
import type { TapeMark } from './hoursTape.js';
import { StateShape } from './StateShape.js';

const WIDTH = 348;
const BASE = 36;
const STEP = 5;

function x(hours: number): number {
  return ((hours - TAPE_FROM) / (TAPE_TO - TAPE_FROM)) * WIDTH;
}

const TICKS = Array.from({ length: TAPE_TO / STEP + 3 }, (_, index) => index * STEP - 2 * STEP);

/** A machine's next hours from left to right, now as the copper hairline. The same facts stand in words beside it. */
export function HoursTape({ marks }: { marks: readonly TapeMark[] }) {
  // Strongest last, so that it lies on top.
  const drawn = marks.toReversed();
  return (
    <svg viewBox={`0 0 ${WIDTH} 46`} width="100%" style={{ display: 'block', maxWidth: 420 }} aria-hidden>
      <path d={`M0 ${BASE}H${WIDTH}`} stroke="var(--ink)" strokeWidth="1.2" />
      {TICKS.map((hours) => (
        <path
          key={hours}
          d={`M${x(hours)} ${BASE}v${hours % 10 === 0 ? 7 : 4}`}
          stroke="var(--ink)"
          strokeWidth="0.9"
        />
      ))}
      {drawn.map((mark) => (
        <g
          key={mark.itemId}
          transform={`translate(${x(mark.at)},${mark.kind === 'calendar' ? 22 : BASE}) scale(0.92)`}
        >
          {mark.kind === 'calendar' ? <CalendarTag state={mark.state} /> : <StateShape state={mark.state} />}
        </g>
      ))}
      <path d={`M${x(0)} 2V44`} stroke="var(--copper)" strokeWidth="2" />
    </svg>
  );
}

/** What the tape's scale means, to stand above a column of tapes. */
export function TapeScale() {
  return (
    <svg viewBox={`0 0 ${WIDTH} 16`} width="100%" style={{ display: 'block', maxWidth: 420 }} aria-hidden>
      <g fontSize="15" textAnchor="middle" fill="var(--soft)">
        <text x="0" y="12" textAnchor="start">
          10 over
        </text>
        <text x={x(0)} y="12" fill="var(--copper)" fontWeight="700" dx="16">
          now
        </text>
        {[20, 40].map((hours) => (
          <text key={hours} x={x(hours)} y="12">
            {hours}
          </text>
        ))}
        <text x={x(60)} y="12" textAnchor="end">
          60 h
        </text>
      </g>
    </svg>
  );
}
