import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { fillPlan, fullJugs, pourFrom } from '@yugator/core';
import type { FillNeed, JugPour } from '@yugator/core';
import { capital } from '../words/capital.js';
import { countWords } from '../words/figures.js';
import styles from './fluid.module.css';
import { JugPicture } from './JugPicture.js';
import { inJug, JUGS } from './jugSizes.js';
import type { JugSize } from './jugSizes.js';

/** Which jug is poured how far: whole ones first, then the level to stop at. */
function pourWords(pours: readonly JugPour[], jug: JugSize): string {
  const whole = pours.filter(({ until }) => until === 0).length;
  const last = pours.find(({ until }) => until > 0);
  const first = whole ? `Pour ${countWords(whole, 'jug')} of ${jug.key} out` : '';
  const stop = last ? `pour until the ${jug.key} jug stands at ${inJug(last.until, jug)}` : '';
  const both = first && stop ? `${first}, then ${stop}` : first || stop;
  return `${capital(both)}.`;
}

interface Props {
  readonly need: FillNeed;
  readonly jug: JugSize;
  readonly onJug: (key: string) => void;
  /** litres that stand in the first jug, where it is not full */
  readonly level?: number | null;
  /** which pour is shown large */
  readonly stage: 'first' | 'topUp';
}

/** What to pour, in the unit of the jug in hand, with the level at which it must stand when to stop. */
export function FillPlanner({ need, jug, onJug, level = null, stage }: Props) {
  const plan = fillPlan(need);
  const begun = level === null ? [] : [{ size: jug.litres, level: Math.min(level, jug.litres) }];
  const all = [...begun, ...fullJugs(jug.litres, plan.target)];
  const prefilled = pourFrom(all, plan.prefilled);
  const first = pourFrom(prefilled.left, plan.firstPour);
  const topUp = pourFrom(first.left, plan.topUp);
  const { pours } = stage === 'first' ? first : topUp;
  const last = pours.at(-1);
  const amount = stage === 'first' ? plan.firstPour : plan.topUp;
  return (
    <div className={styles.plan}>
      <p className={styles.stop}>{amount > 0 ? pourWords(pours, jug) : 'Nothing more goes in.'}</p>
      <div className={styles.pouring}>
        {last ? <JugPicture jug={jug} from={last.from} until={last.until} /> : null}
        <dl>
          {plan.prefilled > 0 ? (
            <div>
              <dt>into the new filter, beforehand</dt>
              <dd className="fig">{inJug(plan.prefilled, jug)}</dd>
            </div>
          ) : null}
          <div>
            <dt>{stage === 'first' ? `now, of ${inJug(plan.target, jug)} in all` : 'poured at first'}</dt>
            <dd className="fig">{inJug(plan.firstPour, jug)}</dd>
          </div>
          {plan.topUp > 0 ? (
            <div>
              <dt>
                {need.filterChanged
                  ? 'after the run: the new filter drinks it'
                  : 'after the run, by the dipstick'}
              </dt>
              <dd className="fig">about {inJug(plan.topUp, jug)}</dd>
            </div>
          ) : null}
        </dl>
      </div>
      <TextField
        select
        fullWidth={false}
        label="Jug in hand"
        value={jug.key}
        onChange={(event) => onJug(event.target.value)}
        sx={{ minWidth: 130 }}
      >
        {JUGS.map(({ key }) => (
          <MenuItem key={key} value={key}>
            {key}
          </MenuItem>
        ))}
      </TextField>
    </div>
  );
}
