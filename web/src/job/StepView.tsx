import Button from '@mui/material/Button';
import type { JobDto } from '@yugator/contracts';
import { phaseWords } from '@yugator/core';
import type { Sheet } from '@yugator/core';
import { useEffect, useRef, useState } from 'react';
import { StepCard } from './StepCard.js';
import { StepTape } from './StepTape.js';
import styles from './sheet.module.css';
import { stepOf } from './useStep.js';

/** One step at a time, for one thumb. It opens where the work stands. */
export function StepView({ job, sheet, mayWork }: { job: JobDto; sheet: Sheet; mayWork: boolean }) {
  const steps = sheet.steps.filter(({ phase }) => phase !== 'signOff');
  const firstOpen = steps.findIndex(({ key }) => !stepOf(job, key).isDone);
  const [chosen, setChosen] = useState<number | null>(null);
  const at = Math.min(chosen ?? (firstOpen < 0 ? steps.length : firstOpen), steps.length);
  const step = steps[at];
  const left = steps.slice(at).reduce((sum, { handsOn }) => sum + handsOn, 0);
  const head = useRef<HTMLParagraphElement>(null);
  const hasMoved = useRef(false);
  const go = (to: number) => {
    hasMoved.current = true;
    setChosen(Math.max(0, Math.min(steps.length, to)));
  };
  // Whoever goes on is put at the head of the next step: its cautions come before its work, on the screen and read aloud.
  useEffect(() => {
    if (hasMoved.current) head.current?.focus();
  }, [at]);
  return (
    <section aria-label="Step by step" className={styles.steps}>
      <StepTape job={job} steps={steps} at={at} />
      {step ? (
        <>
          <p ref={head} tabIndex={-1} className={styles.phase}>
            {phaseWords(step.phase, sheet.steps)}
            <span>
              {at + 1} / {steps.length}
            </span>
          </p>
          <StepCard
            key={step.key}
            job={job}
            step={step}
            mayWork={mayWork}
            isLarge
            isNext
            onNext={() => go(at + 1)}
          />
        </>
      ) : (
        <p ref={head} tabIndex={-1} className={styles.text}>
          <b>The sheet is worked through.</b> Say below what became of each item, then sign off.
        </p>
      )}
      <div className={styles.move}>
        <Button onClick={() => go(at - 1)} disabled={at === 0} size="large">
          Back
        </Button>
        <span className="soft">about {left} min of work left</span>
        <Button onClick={() => go(at + 1)} disabled={at >= steps.length} size="large">
          Skip for now
        </Button>
      </div>
    </section>
  );
}
