import type { Found, JobDto } from '@yugator/contracts';
import {
  addDays,
  approvedGrades,
  approvedWords,
  betweenMarksOf,
  civilDate,
  dipstickTarget,
  fillNeedOf,
  gradeWords,
  HOUSE_RULES,
  litresOfNeed,
  ruleWords,
  shownRange,
} from '@yugator/core';
import type { LevelNeed, SheetStep } from '@yugator/core';
import { LookPick } from '../check/LookPick.js';
import { Dipstick } from '../fluid/Dipstick.js';
import { DrainWords } from '../fluid/DrainWords.js';
import { FillPlanner } from '../fluid/FillPlanner.js';
import { LitresField } from '../fluid/LitresField.js';
import { WhatGoesIn } from '../fluid/WhatGoesIn.js';
import { jugOf } from '../fluid/jugSizes.js';
import type { JugSize } from '../fluid/jugSizes.js';
import { useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import { fluidTargetOf } from './fluidTargetOf.js';
import { MeasurePart } from './MeasurePart.js';
import type { StepPartProps as Props } from './MeasurePart.js';
import styles from './sheet.module.css';

/** What was said of the jug at the first pour: the top-up goes on from there. */
function pouredBefore(job: JobDto, { continues }: SheetStep): Found {
  const { jug, jugLevel, retained } = job.steps.find((step) => step.key === continues)?.found ?? {};
  return {
    ...(jug === undefined ? {} : { jug }),
    ...(jugLevel === undefined ? {} : { jugLevel }),
    ...(retained === undefined ? {} : { retained }),
  };
}

function withLitres(found: Found, name: string, litres: number | null): Found {
  const rest = Object.fromEntries(Object.entries(found).filter(([key]) => key !== name));
  return litres === null ? rest : { ...rest, [name]: litres };
}

/** What is poured, asked at the first pour: judged by the card, and by what fits the machine. */
function Poured({ job, step: { phase, fills }, found, onFound }: Props) {
  if (phase !== 'firstPour') return null;
  return (
    <WhatGoesIn
      found={found}
      component={fills?.fluid ?? null}
      target={fluidTargetOf(job)}
      fitting={job.fluids.filter(({ component }) => component === fills?.fluid).map(({ name }) => name)}
      approved={fills ? approvedGrades(fills.fluid, job.setUp.spec).map(gradeWords) : []}
      onFound={onFound}
    />
  );
}

function FillPart({ job, step, found, onFound }: Props) {
  const { site } = useSession();
  const { setUp } = job;
  const planned = fillNeedOf(step, setUp);
  if (!planned) return null;
  const said = { ...pouredBefore(job, step), ...found };
  const jug = jugOf(said['jug'], site.unitSystem);
  const numberOf = (name: string) => (typeof said[name] === 'number' ? said[name] : null);
  const need = { ...planned, retained: numberOf('retained') ?? 0 };
  const approved = step.fills ? approvedWords(step.fills.fluid, setUp.spec) : '';
  return (
    <>
      {approved ? <p>Approved: {approved}</p> : null}
      <Poured job={job} step={step} found={found} onFound={onFound} />
      <FillPlanner
        need={need}
        level={numberOf('jugLevel')}
        jug={jug}
        onJug={(key) => onFound({ ...found, jug: key })}
        stage={step.phase === 'topUp' ? 'topUp' : 'first'}
      />
      <div className={styles.amounts}>
        <LitresField
          label="Jug stands at"
          litres={numberOf('jugLevel')}
          onChange={(litres) => onFound(withLitres(found, 'jugLevel', litres))}
        />
        <LitresField
          label="Old oil left in"
          litres={numberOf('retained')}
          onChange={(litres) => onFound(withLitres(found, 'retained', litres))}
        />
      </div>
      {step.phase === 'topUp' && step.fills ? (
        <MarksPart need={step.fills} house={setUp} jug={jug} found={found} onFound={onFound} />
      ) : null}
    </>
  );
}

const TO_THE_FULL_MARK = { target: 'fullMark', shade: 0 } as const;

/** Where a fluid stands between its marks, and what is missing. */
function MarksPart({
  need,
  house,
  jug,
  found,
  onFound,
}: Pick<Props, 'found' | 'onFound'> & {
  need: LevelNeed;
  /** whose rules say how full is full; null for a fluid that goes to its full mark */
  house: JobDto['setUp'] | null;
  jug: JugSize;
}) {
  const { reading, betweenMarks } = found;
  const typed = typeof betweenMarks === 'number' ? betweenMarks : null;
  const between = betweenMarksOf(typed, need);
  return (
    <Dipstick
      target={house ? dipstickTarget(house, need, typed) : TO_THE_FULL_MARK}
      jug={jug}
      reading={typeof reading === 'number' ? reading : null}
      betweenMarks={between.litres}
      isUsual={between.isUsual}
      marks={need.marks}
      onChange={(now, litres) => onFound({ ...found, reading: now, betweenMarks: litres })}
    />
  );
}

/** A level that is read: what may be added, and how much where it has marks. */
function LevelPart({ job: { setUp }, step: { reads }, found, onFound }: Props) {
  const { site } = useSession();
  if (!reads) return null;
  const approved = approvedWords(reads.fluid, setUp.spec);
  const isEngine = reads.fluid === 'engineOil';
  return (
    <>
      {approved ? <p>Approved: {approved}</p> : null}
      {isEngine || reads.betweenMarks !== null ? (
        <MarksPart
          need={reads}
          house={isEngine ? setUp : null}
          jug={jugOf(found['jug'], site.unitSystem)}
          found={found}
          onFound={onFound}
        />
      ) : null}
    </>
  );
}

/** How it is opened on this machine, where somebody took a photo of it. */
function AccessPicture({ job: { accessPhotos }, step: { access } }: Pick<Props, 'job' | 'step'>) {
  const photo = accessPhotos.find((each) => each.access === access?.name);
  return photo && access?.side === 'open' ? (
    <img className={styles.picture} src={photo.path} alt="How it is opened on this machine" loading="lazy" />
  ) : null;
}

/** When it is looked at again, whatever the visit was for. */
function AgainPart({ days }: { days: number }) {
  const { today } = useSession();
  return (
    <p>
      To be looked at again on <b>{dayWords(addDays(civilDate(today), days), today)}</b>, in{' '}
      {countWords(days, 'day')}: write the day on it.
    </p>
  );
}

/** What a step works to and asks for: figures, the rule it follows, fill and drain plans, measurements and looks. */
export function StepBody({ job, step, found, onFound, disabled = false }: Props) {
  const { site } = useSession();
  const rule = HOUSE_RULES.find(({ key }) => key === step.rule);
  return (
    <>
      {step.figures.length ? (
        <ul className={styles.figures}>
          {step.figures.map(({ label, low, high, dimension }) => (
            <li key={label}>
              {label} <b className="fig">{shownRange({ low, high }, dimension, site.unitSystem)}</b>
            </li>
          ))}
        </ul>
      ) : null}
      {step.drains ? (
        <DrainWords
          litres={[litresOfNeed(step.drains)]}
          vessels={job.vessels}
          vessel={step.vessel ?? 'pan'}
        />
      ) : null}
      <AccessPicture job={job} step={step} />
      <FillPart job={job} step={step} found={found} onFound={onFound} />
      <LevelPart job={job} step={step} found={found} onFound={onFound} />
      <MeasurePart job={job} step={step} found={found} onFound={onFound} disabled={disabled} />
      {step.againInDays === null ? null : <AgainPart days={step.againInDays} />}
      {step.look ? <LookPick look={step.look} found={found} onChange={onFound} disabled={disabled} /> : null}
      {rule && step.rule ? (
        <p className={styles.rule}>
          House rule: {rule.question} {ruleWords(step.rule, job.setUp)}.
        </p>
      ) : null}
    </>
  );
}
