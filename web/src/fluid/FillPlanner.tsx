import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { capital, fillPlan, fullJugs, jugActs, pourFrom } from '@yugator/core';
import type { FillNeed, JugAct } from '@yugator/core';
import { countWords } from '../words/figures.js';
import styles from './fluid.module.css';
import { JugPicture } from './JugPicture.js';
import { inJug, JUGS, markOf, measured } from './jugSizes.js';
import type { JugSize } from './jugSizes.js';

function actWords(act: JugAct, jug: JugSize, isMore: boolean): string {
  switch (act.kind) {
    case 'pourOut':
      return `pour ${countWords(act.jugs, 'jug')} of ${jug.key} out`;
    case 'stopAt':
      return `pour until the ${jug.key} jug stands at ${inJug(act.until, jug)}`;
    case 'measure':
      return `measure out ${measured(act.litres, jug)} ${isMore ? 'more' : `of a ${jug.key} jug`}`;
  }
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
  const acts = jugActs(pours, markOf(jug));
  const stop = acts.find((act) => act.kind === 'stopAt');
  const amount = stage === 'first' ? plan.firstPour : plan.topUp;
  return (
    <div className={styles.plan}>
      <p className={styles.stop}>
        {amount > 0 && acts.length
          ? `${capital(acts.map((act, index) => actWords(act, jug, index > 0)).join(', then '))}.`
          : 'Nothing more goes in.'}
      </p>
      <div className={styles.pouring}>
        {stop ? <JugPicture jug={jug} from={stop.from} until={stop.until} /> : null}
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
