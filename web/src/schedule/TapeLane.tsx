import Popover from '@mui/material/Popover';
import type { DueLineDto, MachineDetailDto } from '@yugator/contracts';
import { useState } from 'react';
import { Link } from 'react-router';
import { whyAnchor } from '../help/whyAnchor.js';
import { CalendarTag } from './CalendarTag.js';
import { baselineWords, limitWords, rangeWords, reasonWords, unresolvedWords } from './dueWords.js';
import { StateShape } from './StateShape.js';
import { STATE_COLOUR } from './stateWords.js';
import { ruleWords } from './triggerWords.js';
import { useSession } from '../session/useSession.js';
import styles from './hourTape.module.css';
import { flagPlace } from './tapeScale.js';
import type { FlagPlace, TapeScale } from './tapeScale.js';

const BASE = 34;
const HEIGHT = 44;
/** Room for a flag at the right end. */
const FLAG = 16;

interface Props {
  readonly line: DueLineDto;
  readonly machine: MachineDetailDto;
  readonly scale: TapeScale;
  readonly width: number;
}

/** Why an item stands as it does, with everything that counts. */
function Why({ line }: { line: DueLineDto }) {
  const { today } = useSession();
  const used = line.limits[0]?.used;
  return (
    <div className={styles.why}>
      <b>{line.itemName}</b>
      <p>{ruleWords(line.limits.map(({ rule }) => rule))}</p>
      <ul>
        {line.limits.map((limit, index) => (
          <li key={index}>{limitWords(limit, today)}</li>
        ))}
        {unresolvedWords(line).map((words) => (
          <li key={words}>{words}</li>
        ))}
        {line.state === 'resting' ? <li>rests as long as the machine does not work</li> : null}
        <li>{baselineWords(line.baseline, today)}</li>
        {used === undefined ? null : <li>{Math.round(used * 100)} % of the interval is used up</li>}
        {rangeWords(line, today) ? <li>falls due {rangeWords(line, today)}, eight times in ten</li> : null}
      </ul>
      {line.bookName ? <p className="soft">{line.bookName}</p> : null}
      <p>
        <Link to={whyAnchor(line)}>How this is reckoned</Link>
      </p>
    </div>
  );
}

/** The flag of a lane, as a button that tells why. */
function Flag({
  line,
  place,
  x,
}: {
  line: DueLineDto;
  place: FlagPlace | null;
  x: (hours: number) => number;
}) {
  const { today } = useSession();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const isDate = line.limits[0]?.kind === 'calendar' && line.state !== 'noRecord';
  const at = place ? x(place.hours) : null;
  if (at === null) return null;
  return (
    <>
      <button
        type="button"
        className={styles.flag}
        style={{ left: at }}
        aria-label={reasonWords(line, today)}
        aria-haspopup="dialog"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <svg width="34" height={HEIGHT} viewBox={`-17 ${-BASE} 34 ${HEIGHT}`} aria-hidden>
          {isDate ? <CalendarTag state={line.state} /> : <StateShape state={line.state} />}
        </svg>
      </button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
        transformOrigin={{ vertical: 'top', horizontal: 'center' }}
        slotProps={{ paper: { role: 'dialog', 'aria-label': `Why: ${line.itemName}` } }}
      >
        <Why line={line} />
      </Popover>
    </>
  );
}

/** The lane of one item: notches where it was done, a heavy line for what is used up, a thin one for what is left, its flag. */
export function TapeLane({ line, machine, scale, width }: Props) {
  const x = (hours: number) => Math.min(width - FLAG, Math.max(2, scale.place(hours) * width));
  const now = scale.place(machine.life) * width;
  const limit = line.limits[0];
  const unknown = { hours: machine.life, low: machine.life, high: machine.life };
  const place = line.state === 'noRecord' ? unknown : limit ? flagPlace(machine, limit) : null;
  const from = line.baseline.life;
  const colour = STATE_COLOUR[line.state];
  const isBeyond = place !== null && scale.place(place.hours) > 1;
  return (
    <div className={styles.lane} style={{ height: HEIGHT }}>
      <svg width={width} height={HEIGHT} aria-hidden style={{ display: 'block' }}>
        <path d={`M0 ${BASE}H${width}`} stroke="var(--line)" strokeWidth="2" />
        {from === null ? null : <path d={`M${x(from)} ${BASE}H${now}`} stroke={colour} strokeWidth="4" />}
        {place && place.hours > machine.life ? (
          <path d={`M${now} ${BASE}H${x(place.hours)}`} stroke={colour} strokeWidth="1.6" />
        ) : null}
        {place && place.high > place.low ? (
          <path
            d={`M${x(place.low)} ${BASE - 5}v10M${x(place.low)} ${BASE}H${x(place.high)}M${x(place.high)} ${BASE - 5}v10`}
            stroke={colour}
            strokeWidth="1.6"
            fill="none"
          />
        ) : null}
        {line.done
          .filter(({ life }) => scale.place(life) >= 0 && life <= machine.life)
          .map(({ on, life }) => (
            <path
              key={`${on} ${life}`}
              d={`M${x(life)} ${BASE - 7}v14`}
              stroke="var(--ink)"
              strokeWidth="3"
            />
          ))}
        {isBeyond ? (
          <path d={`M${width - 6} ${BASE - 5}l5 5l-5 5`} stroke={colour} strokeWidth="1.6" fill="none" />
        ) : null}
        <path d={`M${now} 0V${HEIGHT}`} className={styles.hairline} />
      </svg>
      <Flag line={line} place={place} x={x} />
    </div>
  );
}
