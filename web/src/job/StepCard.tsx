import type { JobDto } from '@yugator/contracts';
import type { SheetStep } from '@yugator/core';
import { sentenceOf } from '../api/problem.js';
import { Caution } from '../page/Caution.js';
import { OthersPart } from './OthersPart.js';
import { StepAct } from './StepAct.js';
import { StepBody } from './StepBody.js';
import { StepCautions } from './StepCautions.js';
import { StepTimer } from './StepTimer.js';
import styles from './sheet.module.css';
import { useFound } from './useFound.js';

interface Props {
  readonly job: JobDto;
  readonly step: SheetStep;
  readonly mayWork: boolean;
  /** one step at a time, large; or a row of the whole sheet */
  readonly isLarge: boolean;
  /** whether it is the first that is not done yet */
  readonly isNext: boolean;
  /** goes on to the next step */
  readonly onNext?: () => void;
}

type Acts = ReturnType<typeof useFound>;

/** The names of the items that a step belongs to, where it is not for all of them. */
function forWords({ setUp }: JobDto, { itemIds, kind }: SheetStep): string {
  if (kind === 'visit' || itemIds.length === setUp.items.length) return '';
  return setUp.items
    .filter(({ id }) => itemIds.includes(id))
    .map(({ name }) => name)
    .join('; ');
}

/** What a step is about, in one line: its text, its items and tools, and by whom it was done. */
function StepLine({ job, step, acts }: { job: JobDto; step: SheetStep; acts: Acts }) {
  const { isDone, by } = acts.state;
  const aside = [forWords(job, step), step.tools.join(', '), step.handsOn ? `${step.handsOn} min` : ''];
  return (
    <>
      <p className={styles.text}>{step.text}</p>
      <p className={styles.aside}>
        {[...aside, isDone && by ? `done by ${by}` : ''].filter(Boolean).join(' · ')}
      </p>
    </>
  );
}

function Timer({ step, acts, mayWork }: { step: SheetStep; acts: Acts; mayWork: boolean }) {
  const { state, say } = acts;
  if (!step.wait || !step.handsOff) return null;
  return (
    <StepTimer
      wait={step.wait}
      minutes={step.handsOff}
      startedAt={state.startedAt}
      onStart={mayWork ? () => say({ timer: 'start' }) : null}
      onForget={mayWork ? () => say({ timer: 'forget' }) : null}
    />
  );
}

/** One step: its cautions first, then what to do, what to measure, and its tick. What is done takes one line of the whole sheet. */
export function StepCard({ job, step, mayWork, isLarge, isNext, onNext }: Props) {
  const acts = useFound(job, step);
  const { state, found, change, say, isPending, error } = acts;
  const isFolded = state.isDone && !isLarge;
  const tick = (isDone: boolean) => {
    // Hands go on: what passes by itself begins with the tick.
    const starts = isDone && step.wait !== null && state.startedAt === null;
    say({ isDone, ...(starts ? { timer: 'start' as const } : {}) }, isDone ? onNext : undefined);
  };
  return (
    <div className={isLarge ? styles.large : styles.row} data-done={state.isDone || undefined}>
      {isFolded ? null : (
        <StepCautions
          step={step}
          isRead={state.isAcknowledged}
          onRead={mayWork ? (isAcknowledged) => say({ isAcknowledged }) : null}
        />
      )}
      <StepLine job={job} step={step} acts={acts} />
      {isFolded ? null : (
        <StepBody job={job} step={step} found={found} onFound={change} disabled={!mayWork} />
      )}
      <OthersPart step={step} others={state.others} />
      <Timer step={step} acts={acts} mayWork={mayWork} />
      {error ? <Caution title="Not kept">{<p>{sentenceOf(error)}</p>}</Caution> : null}
      {mayWork ? (
        <div className={styles.act}>
          <StepAct
            step={step}
            isDone={state.isDone}
            isRead={state.isAcknowledged}
            pending={isPending}
            size={isLarge ? 'large' : 'medium'}
            isNext={isNext}
            onDone={tick}
          />
        </div>
      ) : null}
    </div>
  );
}
