import type { JobDto } from '@yugator/contracts';
import { phaseWords } from '@yugator/core';
import type { Phase, Sheet, SheetStep } from '@yugator/core';
import { stepOf } from './useStep.js';
import { StepCard } from './StepCard.js';
import styles from './sheet.module.css';

interface Stretch {
  readonly phase: Phase;
  readonly from: number;
  readonly steps: readonly SheetStep[];
}

/** Steps of the same phase that follow each other. */
function stretches({ steps, starts }: Sheet): Stretch[] {
  const result: (Stretch & { steps: SheetStep[] })[] = [];
  steps.forEach((step, index) => {
    const last = result.at(-1);
    if (step.phase === 'signOff') return;
    if (last?.phase === step.phase) last.steps.push(step);
    else result.push({ phase: step.phase, from: starts[index] ?? 0, steps: [step] });
  });
  return result;
}

/** The whole sheet, phase by phase. */
export function SheetView({ job, sheet, mayWork }: { job: JobDto; sheet: Sheet; mayWork: boolean }) {
  const next = sheet.steps.find(({ key }) => !stepOf(job, key).isDone)?.key;
  return (
    <section aria-label="Whole sheet" className={styles.whole}>
      {stretches(sheet).map(({ phase, from, steps }) => (
        <div key={`${phase} ${from}`}>
          <h2 className={styles.head}>
            {phaseWords(phase, sheet.steps)} <span className="soft">from minute {Math.round(from)}</span>
          </h2>
          {steps.map((step) => (
            <StepCard
              key={step.key}
              job={job}
              step={step}
              mayWork={mayWork}
              isLarge={false}
              isNext={step.key === next}
            />
          ))}
        </div>
      ))}
    </section>
  );
}
