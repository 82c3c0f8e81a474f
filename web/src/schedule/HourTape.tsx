import IconButton from '@mui/material/IconButton';
import type { MachineDetailDto } from '@yugator/contracts';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { useSession } from '../session/useSession.js';
import { useWidth } from './useWidth.js';
import { dayWords } from '../words/dates.js';
import { intervalWords } from '../words/figures.js';
import styles from './hourTape.module.css';
import { dateTicks, firstSpan, TAPE_SPANS, tapeScale, tickStep } from './tapeScale.js';
import type { TapeScale } from './tapeScale.js';

const TAPE_HEIGHT = 44;
/** A date needs this many pixels. */
const DATE_WIDTH = 58;

function Ticks({ scale, width }: { scale: TapeScale; width: number }) {
  const step = tickStep(scale);
  const fine = step / 5;
  const first = Math.ceil(scale.from / fine);
  const marks = Array.from({ length: Math.floor(scale.to / fine) - first + 1 }, (_, index) => first + index);
  return (
    <>
      {marks.map((mark) => {
        const hours = mark * fine;
        if (hours < 0) return null;
        const x = scale.place(hours) * width;
        const isNamed = mark % 5 === 0;
        return (
          <g key={mark}>
            <path
              d={`M${x} 1v${isNamed ? 17 : 9}`}
              stroke="var(--tape-ink)"
              strokeWidth={isNamed ? 1.6 : 1}
            />
            {isNamed && x > 18 && x < width - 18 ? (
              <text x={x} y="36" textAnchor="middle" className={styles.tapeFigure}>
                {intervalWords(Math.round(hours))}
              </text>
            ) : null}
          </g>
        );
      })}
    </>
  );
}

function Dates({ machine, scale, width }: { machine: MachineDetailDto; scale: TapeScale; width: number }) {
  const { today } = useSession();
  const x = scale.place(machine.life) * width;
  return (
    <>
      {dateTicks(machine, today, scale, DATE_WIDTH / width).map(({ on, place }) => (
        <g key={on} transform={`translate(${place * width},${TAPE_HEIGHT})`}>
          <path d="M0 0v5" stroke="var(--soft)" />
          <text y="17" textAnchor="middle" className={styles.date}>
            {dayWords(on, on)}
          </text>
        </g>
      ))}
      <text x={x} y={TAPE_HEIGHT + 17} textAnchor="middle" className={styles.now}>
        now
      </text>
    </>
  );
}

interface Props {
  readonly machine: MachineDetailDto;
  /** the lanes, each drawn on the scale and width it is given */
  readonly children: (scale: TapeScale, width: number) => ReactNode;
}

/**
 * A measuring tape of life hours with the days on which the machine is expected to reach them; now is one hairline down the whole
 * tape, and every item has a lane beneath.
 */
export function HourTape({ machine, children }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>(640);
  const [step, setStep] = useState(() => TAPE_SPANS.findIndex((span) => span === firstSpan(machine)));
  const scale = tapeScale(machine.life, TAPE_SPANS[step] ?? 640);
  return (
    <div className={styles.sheet}>
      <div className={styles.head}>
        <span className={styles.caption}>
          <b>Engine hours</b>
          <br />
          <span className="soft">expected dates beneath</span>
        </span>
        <div ref={ref} className={styles.lane}>
          <svg width={width} height={TAPE_HEIGHT + 22} aria-hidden style={{ display: 'block' }}>
            <rect
              x="0.75"
              y="0.75"
              width={Math.max(0, width - 1.5)}
              height={TAPE_HEIGHT - 1.5}
              className={styles.tape}
            />
            <Ticks scale={scale} width={width} />
            <Dates machine={machine} scale={scale} width={width} />
            <path d={`M${scale.place(machine.life) * width} 0V${TAPE_HEIGHT}`} className={styles.hairline} />
          </svg>
        </div>
        <span className={styles.zoom}>
          <IconButton
            aria-label="Show fewer hours, wider apart"
            disabled={step <= 0}
            onClick={() => setStep(step - 1)}
          >
            +
          </IconButton>
          <IconButton
            aria-label="Show more hours, closer together"
            disabled={step >= TAPE_SPANS.length - 1}
            onClick={() => setStep(step + 1)}
          >
            −
          </IconButton>
        </span>
      </div>
      {children(scale, width)}
    </div>
  );
}
